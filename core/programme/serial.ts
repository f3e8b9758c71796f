import type { Bookings } from './bookings'
import type { Task } from './programme'

/**
 * Serial scheduling: the tasks one after the other in the order of their ranks, each as soon as what comes before it is
 * over, by the crew that has it done first. What is booked already stays where it is.
 *
 * @param rankOf the lower, the sooner it is given its place
 * @param wantedOf by which crew, and not before when, a task is done if it can be
 */
export function placeSerially(bookings: Bookings, tasks: Task[], rankOf: (task: Task) => number, wantedOf: (task: Task) => { crew: number, start: number } | undefined = () => undefined): void {
  const { byId, able } = bookings.problem
  const open = tasks.filter(({ id }) => !bookings.placed.has(id))
  const waiting = new Map(open.map(({ id, after }) => [id, new Set(after.map(({ task }) => task).filter(task => byId.has(task) && !bookings.placed.has(task))).size]))
  const followers = new Map<string, Task[]>()
  for (const task of open) for (const before of new Set(task.after.map(({ task }) => task))) followers.set(before, [...followers.get(before) ?? [], task])
  const ready = open.filter(({ id }) => waiting.get(id) === 0)
  while (ready.length > 0) {
    let next = 0
    for (let n = 1; n < ready.length; n++) if (rankOf(ready[n]!) < rankOf(ready[next]!)) next = n
    const [task] = ready.splice(next, 1) as [Task]
    const from = bookings.readyAt(task)
    if (from === undefined) continue
    const wanted = wantedOf(task)
    const asWanted = wanted && able.get(task.id)!.includes(wanted.crew) ? bookings.earliest(task, wanted.crew, Math.max(from, wanted.start)) : undefined
    const found = asWanted ? [asWanted] : able.get(task.id)!.map(crew => bookings.earliest(task, crew, from)).filter(each => each !== undefined)
    const best = found.reduce<typeof found[number] | undefined>((best, each) => best === undefined || each.end < best.end ? each : best, undefined)
    if (!best) continue
    bookings.book(best)
    for (const follower of followers.get(task.id) ?? []) {
      const left = waiting.get(follower.id)! - 1
      waiting.set(follower.id, left)
      if (left === 0) ready.push(follower)
    }
  }
}
