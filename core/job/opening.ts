import type { InferType } from 'yup'
import { day, group, list, must, oneOf, text } from './fields'

/** The days of a week in its order. */
export const WEEK = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const
export type Weekday = typeof WEEK[number]

const TIME = /^([01]\d|2[0-3]):[0-5]\d$/
const time = (label: string) => must(text(label)).matches(TIME, 'must be a time of day such as 07:30')

/**
 * When something is open in a week, at the place's own time; what ends no later than it begins ends on the day after.
 */
export const windowSchema = group({
  days: must(list(must(oneOf(WEEK)), 7, 'Days on which it starts')),
  from: time('Start, local time'),
  to: time('End, local time; on the next day if not later than the start'),
}).test(
  'lasts',
  'starts and ends at the same time: end it a minute earlier, or split it in two at midnight',
  window => !window || window.from !== window.to,
)
export type Window = InferType<typeof windowSchema>
export const windows = (label: string) => list(windowSchema, 50, label)

/** A day of the calendar on which something is not as it is in other weeks, and why. */
export const dayOff = group({ day: must(day('Date')), reason: text('Reason') })
export const daysOff = (label: string) => list(dayOff, 1_000, label)

/** Whether there is a time zone of this name (IANA). */
export function isZone(zone: unknown): zone is string {
  if (typeof zone !== 'string') return false
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: zone }))
  }
  catch {
    return false
  }
}
export const zone = (label: string) =>
  text(label).test(
    'zone',
    ({ value }: { value: unknown }) => `is not a time zone: ${JSON.stringify(value)}; enter one such as Europe/Oslo`,
    v => v === undefined || isZone(v),
  )
