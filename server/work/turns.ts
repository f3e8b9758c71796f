/** What waits of one who asked. */
type Waiting = (() => void)[]

/** Too much waits of one who asked, or of all together. */
export class TooMuch extends Error {
  /** @param waiting so many tasks of the one who asked wait already */
  constructor(readonly waiting: number) {
    super('too much waits already')
  }
}

/**
 * Lets a few tasks run at once and the others wait, one of each who asked in turn: what one orders in a row keeps
 * nobody else waiting for more than the task that runs.
 */
export class Turns {
  private running = 0
  /** In the order in which they come next. */
  private readonly queues = new Map<string, Waiting>()

  /**
   * @param atOnce so many run at once
   * @param each so many of one who asks wait at most
   * @param all so many wait at most
   */
  constructor(private readonly atOnce: number, private readonly each: number, private readonly all: number) {}

  /** How many tasks wait. */
  get waiting(): number {
    return [...this.queues.values()].reduce((sum, { length }) => sum + length, 0)
  }

  /** Does a task in its turn. @throws TooMuch; what `act` throws */
  async take<Result>(who: string, act: () => Promise<Result>): Promise<Result> {
    if (this.running >= this.atOnce) await this.wait(who)
    else this.running++
    try {
      return await act()
    }
    finally {
      this.next()
    }
  }

  private wait(who: string): Promise<void> {
    const own = this.queues.get(who) ?? []
    if (own.length >= this.each || this.waiting >= this.all) throw new TooMuch(own.length)
    this.queues.set(who, own)
    return new Promise(turn => own.push(turn))
  }

  /** Gives the place that has become free to the next who asked. */
  private next(): void {
    const [who, queue] = this.queues.entries().next().value ?? []
    if (who === undefined || !queue) {
      this.running--
      return
    }
    const turn = queue.shift()!
    this.queues.delete(who)
    if (queue.length > 0) this.queues.set(who, queue)
    turn()
  }
}
