import type { Bookings } from './bookings'
import type { Task } from '../programme'
import { readinessOf } from './readiness'

/**
 * Serial scheduling: the tasks one after the other in the order of their ranks, each as soon as what comes before it is
 * over, by the crew that has it done first. What is booked already stays where it is.
 *
 * @param rankOf the lower, the sooner it is given its place
 * @param wantedOf by which crew, and not before when, a task is done if it can be
 */
export function placeSerially(
  bookings: Bookings,
  tasks: Task[],
  rankOf: (task: Task) => number,
  wantedOf: (task: Task) => { crew: number, start: number } | undefined = () => undefined,
): void {
  const { able } = bookings.problem
  const { first, next: nextAfter } = readinessOf(bookings, tasks)
  const ready = [...first]
  while (ready.length > 0) {
    let next = 0
    for (let n = 1; n < ready.length; n++) if (rankOf(ready[n]!) < rankOf(ready[next]!)) next = n
    const [task] = ready.splice(next, 1) as [Task]
    const from = bookings.readyAt(task)
    if (from === undefined) continue
    const wanted = wantedOf(task)
    const asWanted
      = wanted && able.get(task.id)!.includes(wanted.crew)
        ? bookings.earliest(task, wanted.crew, Math.max(from, wanted.start))
        : undefined
    const found = asWanted
      ? [asWanted]
      : able
          .get(task.id)!
          .map(crew => bookings.earliest(task, crew, from))
          .filter(each => each !== undefined)
    const best = found.reduce<(typeof found)[number] | undefined>(
      (best, each) => (best === undefined || each.end < best.end ? each : best),
      undefined,
    )
    if (!best) continue
    bookings.book(best)
    ready.push(...nextAfter(task))
  }
}
