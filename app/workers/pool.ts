/** A worker and what can be asked of it. */
export interface Hand<Api> {
  api: Api
  end: () => void
  /** Is told where the worker cannot work at all, as one whose script did not come. */
  onFailure?: (told: (error: Error) => void) => void
}

/** Why work was given up. */
export class Cancelled extends Error {}

interface Job<Api> {
  act: (api: Api) => Promise<unknown>
  done: (result: unknown) => void
  fail: (error: unknown) => void
  signal?: AbortSignal
  hand?: Hand<Api>
}

/**
 * Workers for what takes long, so that the live plan never waits behind it. So many jobs run at once, the others in
 * their turn; one that is cancelled ends at once, and its worker with it.
 */
export class WorkerPool<Api> {
  private readonly waiting: Job<Api>[] = []
  private readonly running = new Set<Job<Api>>()
  private readonly idle: Hand<Api>[] = []

  /** @param make makes a worker: none is made before there is work for it */
  constructor(private readonly make: () => Hand<Api>, private readonly size: number) {}

  /**
   * Has a worker do something.
   *
   * @throws Cancelled once the signal is given; whatever the work throws
   */
  run<Result>(act: (api: Api) => Promise<Result>, signal?: AbortSignal): Promise<Result> {
    return new Promise<Result>((done, fail) => {
      if (signal?.aborted) return fail(new Cancelled('Cancelled.'))
      const job: Job<Api> = { act, done: done as Job<Api>['done'], fail, ...signal && { signal } }
      signal?.addEventListener('abort', () => this.cancel(job), { once: true })
      this.waiting.push(job)
      this.next()
    })
  }

  /** Ends all workers; what is under way is cancelled. */
  close(): void {
    for (const job of [...this.waiting, ...this.running]) this.cancel(job)
    for (const { end } of this.idle.splice(0)) end()
  }

  private next(): void {
    const job = this.running.size < this.size ? this.waiting.shift() : undefined
    if (!job) return
    job.hand = this.idle.pop() ?? this.make()
    this.running.add(job)
    const { hand } = job
    hand.onFailure?.((error) => {
      if (job.hand !== hand || !this.running.delete(job)) return
      hand.end()
      job.fail(error)
      this.next()
    })
    const { api } = job.hand
    const settle = (answer: () => void) => {
      if (!this.running.delete(job)) return
      this.idle.push(job.hand!)
      answer()
      this.next()
    }
    Promise.resolve()
      .then(() => job.act(api))
      .then(
        result => settle(() => job.done(result)),
        (error: unknown) => settle(() => job.fail(error)),
      )
  }

  private cancel(job: Job<Api>): void {
    const at = this.waiting.indexOf(job)
    if (at >= 0) this.waiting.splice(at, 1)
    else if (this.running.delete(job)) job.hand!.end()
    else return
    job.fail(new Cancelled('Cancelled.'))
    this.next()
  }
}
