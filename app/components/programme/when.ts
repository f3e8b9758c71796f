import type { Weekday } from '~~/core/job'
import { weekdayText } from '~~/core/dates'
import { dateOf, type Minute } from '~~/core/programme'

/** A moment as people at a place say it: day and time, or either. */
export const dayAt = (minute: Minute, timeZone: string): string => weekdayText(dateOf(minute).toISOString(), timeZone)
export const timeAt = (minute: Minute, timeZone: string): string =>
  dateOf(minute).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hourCycle: 'h23', timeZone })
export const whenAt = (minute: Minute, timeZone: string): string =>
  `${dayAt(minute, timeZone)}, ${timeAt(minute, timeZone)}`
/** Letters for a site, where its name has no room: colour is not all that tells it. */
export const siteLetters = (name: string): string =>
  name
    .split(/\s+/)
    .map(word => word[0])
    .join('')
    .slice(0, 2)
    .toUpperCase() || '–'

/** Days of the week, as short as they can be. */
export const DAY_LETTERS: Record<Weekday, string> = {
  mon: 'Mo',
  tue: 'Tu',
  wed: 'We',
  thu: 'Th',
  fri: 'Fr',
  sat: 'Sa',
  sun: 'Su',
}
