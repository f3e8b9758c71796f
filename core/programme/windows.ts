import type { Interval } from '../geometry'
import { coveredAtLeast, subtract, union } from '../intervals'
import type { Window } from '../job'
import { dayAfter, localTime, minuteAt, weekdayOf, type Minute } from './clock'

/** Stretches of time that are longer than nothing, in order. */
const real = (stretches: Interval[]): Interval[] => stretches.filter(({ from, to }) => to > from)

/**
 * When a place is open between two moments: its windows, less the days on which it is closed. A window that runs
 * across midnight belongs to the day on which it begins, and lasts as long as the clocks of that night let it.
 *
 * @param closed days of the calendar on which nothing begins
 */
export function openTimes(
  windows: Window[],
  zone: string,
  from: Minute,
  to: Minute,
  closed: Iterable<string> = [],
): Interval[] {
  const shut = new Set(closed)
  const found: Interval[] = []
  const last = localTime(to, zone).day
  for (let day = dayAfter(localTime(from, zone).day, -1); day <= last; day = dayAfter(day)) {
    if (shut.has(day)) continue
    for (const window of windows) {
      if (!window.days.includes(weekdayOf(day))) continue
      const until = window.to <= window.from ? dayAfter(day) : day
      found.push({
        from: Math.max(from, minuteAt(day, window.from, zone)),
        to: Math.min(to, minuteAt(until, window.to, zone)),
      })
    }
  }
  return real(union(real(found)))
}

/** When all of some places are open at once. */
export const openTogether = (...places: Interval[][]): Interval[] => real(coveredAtLeast(places.length, places))

/** When any of some places is open. */
export const openAnywhere = (...places: Interval[][]): Interval[] => real(union(places.flat()))

/** Times without others. */
export const without = (times: Interval[], taken: Interval[]): Interval[] => real(subtract(times, taken))

/** The minutes of some times up to a moment. */
export const minutesUntil = (times: Interval[], moment: Minute): number =>
  times.reduce((sum, { from, to }) => sum + Math.max(0, Math.min(to, moment) - from), 0)

/** The moment at which so many minutes of some times are over; Infinity where they have fewer. */
export function momentWhenDone(times: Interval[], minutes: number): Minute {
  let left = minutes
  for (const { from, to } of times) {
    if (left <= to - from) return from + left
    left -= to - from
  }
  return Infinity
}
