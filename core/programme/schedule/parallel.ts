import type { Bookings } from './bookings'
import type { PlacedTask, Task } from '../programme'
import { readinessOf } from './readiness'

/**
 * What counts how much when the next task is chosen: time held over breaks, the way to it, how few crews can do it, and
 * how much follows from it.
 */
export interface Weights { held: number, way: number, scarce: number, tail: number }

/** A task that can be booked with a crew: the less its key, the sooner it is. */
interface Option { task: Task, crew: number, key: number, placed?: PlacedTask }

/**
 * Parallel scheduling: of all tasks that are ready and all crews that can do them, the pair that can begin first is
 * booked next, so that a crew goes on where it is rather than to the other end of its sites; sooner what only few crews
 * can do, what holds a crew over a break later, and sooner what much follows from. What is booked already stays.
 *
 * @param tailOf how long it is from a task's beginning to the end of all that follows, min
 * @param scarcityOf how few crews can do it, 0 to 1; of a crew how much only it can do
 * @param chanceOf a little of chance for each task, min
 */
export function placeInTime(
  bookings: Bookings,
  tasks: Task[],
  weights: Weights,
  {
    tailOf,
    scarcityOf,
    chanceOf,
  }: {
    tailOf: (task: Task) => number
    scarcityOf: { task: (task: Task) => number, crew: (crew: number) => number }
    chanceOf: (task: Task) => number
  },
): void {
  const { able, together } = bookings.problem
  const { first, next } = readinessOf(bookings, tasks)
  const options: Option[] = []
  const keyed = (option: Option) => {
    const { task, crew } = option
    // What is booked only grows, so that nothing can begin sooner than it could before.
    option.placed = bookings.earliest(task, crew, option.placed?.start ?? bookings.readyAt(task)!)
    option.key = option.placed
      ? option.placed.start
      + weights.way * bookings.wayTo(task, crew, option.placed.start)
      + weights.held * (option.placed.end - option.placed.start - task.minutes)
      + weights.scarce * (scarcityOf.crew(crew) - scarcityOf.task(task))
      - weights.tail * tailOf(task)
      + chanceOf(task)
      : Infinity
  }
  const offer = (task: Task) => {
    for (const crew of able.get(task.id)!) {
      const option: Option = { task, crew, key: 0 }
      keyed(option)
      options.push(option)
    }
  }
  for (const task of first) if (bookings.readyAt(task) !== undefined) offer(task)
  for (;;) {
    let best: Option | undefined
    for (const option of options) if (option.key < (best?.key ?? Infinity)) best = option
    if (!best) return
    const { task, crew, placed } = best
    bookings.book(placed!)
    for (let n = options.length - 1; n >= 0; n--) if (options[n]!.task === task) options.splice(n, 1)
    for (const follower of next(task)) offer(follower)
    // Only what the new booking may stand in the way of is looked at again.
    const isTouched = (option: Option) => option.placed !== undefined && (together[crew]!.includes(option.crew)
      || (option.task.wall === task.wall && option.task.site === task.site) || (option.task.aid && task.aid))
    options.filter(isTouched).forEach(keyed)
  }
}
