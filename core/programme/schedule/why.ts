import { words, type Text } from '../../units'
import { Bookings, problemOf, type Hindrance } from './bookings'
import type { Minute } from '../clock'
import { canDo, type PlacedTask, type Programme, type Task } from '../programme'

/** Something that a task waits for, and until when. */
export interface WaitsFor { until: Minute, why: Text, task?: string }

/**
 * Why a task is not earlier: what it waits for one after the other, by the crew that does it; and other crews that
 * could do it, each with when.
 */
export interface WhyNot { waits: WaitsFor[], others: { crew: string, start: Minute }[] }

/**
 * Why a task of a schedule is not earlier than it is: what has to be over before it, then everything that stood in its
 * way from then on, in order of time. The last of it is what would have to change first.
 */
export function whyNotEarlier(programme: Programme, placed: PlacedTask[], id: string): WhyNot | undefined {
  const [mine, task] = [placed.find(({ task }) => task === id), programme.tasks.find(task => task.id === id)]
  if (!mine || !task) return undefined
  const problem = problemOf(programme)
  const bookings = new Bookings(problem)
  for (const each of placed) if (each !== mine) bookings.book(each)
  const titleOf = (other: string) => words`“${programme.tasks.find(({ id }) => id === other)?.title ?? other}”`
  const nameOf = (crew: string) => programme.crews.find(({ id }) => id === crew)?.name ?? crew
  const before = task.after.flatMap(({ task: other, wait }): WaitsFor[] => {
    const end = placed.find(each => each.task === other)?.end
    return end === undefined
      ? []
      : [
          {
            until: end + wait,
            task: other,
            why:
              wait > 0
                ? words`${titleOf(other)} is finished, including its wait of ${String(Math.round(wait / 6) / 10)} h`
                : words`${titleOf(other)} is finished`,
          },
        ]
  }).sort((a, b) => a.until - b.until)
  const ready = Math.max(programme.from, ...before.map(({ until }) => until))
  const waits: WaitsFor[] = before.slice(-1)
  const place = programme.places.find(({ id }) => id === task.site)?.name ?? task.site
  const said = ({ kind, until, task: other }: Hindrance): Text => {
    if (kind === 'crew') return words`${nameOf(mine.crew)} is free after ${titleOf(other!)}, travel time included`
    if (kind === 'wall') return words`the wall is free after ${titleOf(other!)}`
    if (kind === 'aid')
      return other === undefined
        ? words`a lifting aid is available`
        : words`the lifting aid is free after ${titleOf(other)}`
    return closedBecause(programme, task, mine.crew, place, until)
  }
  const crew = problem.crews.findIndex(({ id }) => id === mine.crew)
  bookings.earliest(task, crew, ready, (hindrance) => {
    if (hindrance.until <= mine.start)
      waits.push({
        until: hindrance.until,
        why: said(hindrance),
        ...(hindrance.task !== undefined && { task: hindrance.task }),
      })
  })
  const fixed = programme.fixed.find(each => each.task === id)
  if (fixed?.start === mine.start)
    waits.push({ until: mine.start, why: fixed.begun ? words`it is under way` : words`it is pinned at this time` })
  const others = problem.crews.flatMap((other, n) => {
    const start = other.id !== mine.crew && canDo(other, task) ? bookings.earliest(task, n, ready)?.start : undefined
    return start === undefined ? [] : [{ crew: other.id, start }]
  })
  return { waits, others }
}

/** Why nobody works somewhere up to a moment at which work begins there. */
function closedBecause({ places, crews }: Programme, task: Task, crew: string, place: string, until: Minute): Text {
  const opens = (times: { from: Minute }[] = []) => times.some(({ from }) => from === until)
  const there = places.find(({ id }) => id === task.site)
  if (opens(there?.open)) return words`${place} opens`
  if (task.noisy && opens(there?.loud)) return words`noisy work is allowed at ${place}`
  if (opens(crews.find(({ id }) => id === crew)?.times)) return words`the crew’s working hours start`
  return words`the hours are long enough for it`
}
