import { tzOffset } from '@date-fns/tz'
import { WEEK, type Weekday } from '../job'

/** Time in the programme: whole minutes since 1970-01-01T00:00Z. Schedules know no zone; windows and words do. */
export type Minute = number

export const [HOUR, DAY] = [60, 1_440]
const MS = 60_000

export const minuteOf = (moment: string | Date): Minute => Math.floor(new Date(moment).getTime() / MS)
export const dateOf = (minute: Minute): Date => new Date(minute * MS)
export const momentOf = (minute: Minute): string => dateOf(minute).toISOString()

/** A day of the calendar, as `2026-11-27`, so many days on. */
export const dayAfter = (day: string, days = 1): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY * MS).toISOString().slice(0, 10)

/**
 * The day and the time of day at a place. @example localTime(minuteOf('2026-07-01T22:30:00Z'), 'Europe/Oslo') // { day:
 * '2026-07-02', time: '00:30' }
 */
export function localTime(minute: Minute, zone: string): { day: string, time: string } {
  const text = new Date((minute + tzOffset(zone, dateOf(minute))) * MS).toISOString()
  return { day: text.slice(0, 10), time: text.slice(11, 16) }
}

/**
 * The minute at which a clock at a place shows a time of a day. An hour that clocks skip in spring is taken as the one
 * that follows it; of an hour that they show twice in autumn, the first.
 *
 * @example momentOf(minuteAt('2026-07-02', '00:30', 'Europe/Oslo')) // '2026-07-01T22:30:00.000Z'
 */
export function minuteAt(day: string, time: string, zone: string): Minute {
  const shown = Date.parse(`${day}T${time}:00Z`) / MS
  const offsetAt = (minute: Minute) => tzOffset(zone, dateOf(minute))
  // Clocks change by hours, not days: the offset in force is that of the day before or of the day after.
  const [before, after] = [shown - offsetAt(shown - DAY), shown - offsetAt(shown + DAY)]
  const holds = (minute: Minute) => minute + offsetAt(minute) === shown
  if (holds(before)) return before
  if (holds(after)) return after
  return before
}

export const weekdayOf = (day: string): Weekday => WEEK[(new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7]!
/** The Monday of a day's week. */
export const mondayOf = (day: string): string => dayAfter(day, -WEEK.indexOf(weekdayOf(day)))
