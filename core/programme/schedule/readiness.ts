import type { Bookings } from './bookings'
import type { Task } from '../programme'

/** Which tasks can be given a place: those before which nothing is left that has none. */
export interface Readiness { first: Task[], next: (placed: Task) => Task[] }

/** @param tasks those that are to be placed; what is booked already is over or has its place */
export function readinessOf(bookings: Bookings, tasks: Task[]): Readiness {
  const { byId } = bookings.problem
  const open = tasks.filter(({ id }) => !bookings.placed.has(id))
  const waiting = new Map(
    open.map(({ id, after }) => [
      id,
      new Set(after.map(({ task }) => task).filter(task => byId.has(task) && !bookings.placed.has(task))).size,
    ]),
  )
  const followers = new Map<string, Task[]>()
  for (const task of open)
    for (const before of new Set(task.after.map(({ task }) => task)))
      followers.set(before, [...(followers.get(before) ?? []), task])
  return {
    first: open.filter(({ id }) => waiting.get(id) === 0),
    next: ({ id }) => (followers.get(id) ?? []).filter((follower) => {
      const left = waiting.get(follower.id)! - 1
      waiting.set(follower.id, left)
      return left === 0
    }),
  }
}
