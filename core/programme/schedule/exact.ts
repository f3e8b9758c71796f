import { Bookings, type Problem } from './bookings'
import { finishOf, type PlacedTask, type Task } from '../programme'

/** Up to so many tasks every order and every crew is looked at. */
export const EXACT = 7

/**
 * The placing with the least finish of all. Tasks are placed in the order in which they begin, each by each crew, as
 * soon as that is possible: every best schedule has such an order, in which nothing could be sooner. A branch is left
 * when what is still to be done of any chain cannot be over before the best that was found.
 *
 * @param begin books what has its place already
 * @param best an answer to begin with
 */
export function placeExactly(problem: Problem, begin: (bookings: Bookings) => void, best: PlacedTask[]): PlacedTask[] {
  const { programme: { from, tasks }, byId } = problem
  const followers = (id: string) =>
    tasks.flatMap(task => task.after.filter(before => before.task === id).map(({ wait }) => ({ task, wait })))
  const tails = new Map<string, number>()
  const tailOf = (task: Task): number => {
    if (!tails.has(task.id))
      tails.set(task.id, Math.max(0, ...followers(task.id).map(({ task, wait }) => wait + task.minutes + tailOf(task))))
    return tails.get(task.id)!
  }
  const bookings = new Bookings(problem)
  begin(bookings)
  const fixed = new Set(bookings.placed.keys())
  const open = tasks.filter(({ id }) => !fixed.has(id))
  /** So many have to have a place: what can have none has none in any order. */
  let [most, finish] = [best.length, finishOf({ placed: best }, from)]
  const search = (since: number) => {
    const left = open.filter(({ id }) => !bookings.placed.has(id))
    const placed = [...bookings.placed.values()]
    if (placed.length > most || (placed.length === most && finishOf({ placed }, from) < finish)) {
      most = placed.length
      finish = finishOf({ placed }, from)
      best = placed
    }
    if (bookings.placed.size + left.length < most) return
    for (const task of left) {
      const ready = bookings.readyAt(task)
      if (ready === undefined) continue
      for (const crew of problem.able.get(task.id)!) {
        const found = bookings.earliest(task, crew, Math.max(ready, since))
        if (!found || (most === byId.size && found.end + tailOf(task) >= finish)) continue
        bookings.book(found)
        search(found.start)
        bookings.cancel(task.id)
      }
    }
  }
  search(from)
  return best
}
