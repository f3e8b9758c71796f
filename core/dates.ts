const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']
const A_DAY = /^\d{4}-\d{2}-\d{2}$/

/** What a clock in a zone shows at a moment; where no zone is given, the reader's own. */
function clockAt(date: Date, timeZone: string | undefined): { year: number, month: number, day: number, time: string } {
  const parts = new Intl.DateTimeFormat('en', {
    year: 'numeric', month: 'numeric', day: 'numeric', hour: '2-digit', minute: '2-digit', hourCycle: 'h23', timeZone,
  }).formatToParts(date)
  const of = (type: Intl.DateTimeFormatPartTypes) => parts.find(part => part.type === type)!.value
  return {
    year: Number(of('year')),
    month: Number(of('month')),
    day: Number(of('day')),
    time: `${of('hour')}:${of('minute')}`,
  }
}

/** A moment, or a day by itself, which is the same day in every zone; undefined for what is neither. */
function read(at: string, zone: string | undefined): ReturnType<typeof clockAt> | undefined {
  const date = new Date(A_DAY.test(at) ? `${at}T00:00:00Z` : at)
  return Number.isNaN(date.getTime()) ? undefined : clockAt(date, A_DAY.test(at) ? 'UTC' : zone)
}

/**
 * A day in the one form in which all screens and papers have it; what a broken clock wrote stays as it is.
 *
 * @param at a moment (ISO 8601), or a day `2026-11-30`
 * @param zone the time zone (IANA) in which it is that day: the site's
 * @example dateText('2026-11-30T23:30:00Z', 'Europe/Oslo') // '1 Dec 2026'
 */
export function dateText(at: string, zone?: string): string {
  const clock = read(at, zone)
  return clock ? `${clock.day} ${MONTHS[clock.month - 1]} ${clock.year}` : at
}

/** The same with its weekday: `Mon 30 Nov 2026`. */
export function weekdayText(at: string, zone?: string): string {
  const clock = read(at, zone)
  if (!clock) return at
  return `${WEEKDAYS[new Date(Date.UTC(clock.year, clock.month - 1, clock.day)).getUTCDay()]} ${dateText(at, zone)}`
}

/**
 * A moment in the one form in which all screens and papers have it.
 *
 * @example momentText('2026-11-30T08:05:00Z', 'Europe/Oslo') // '30 Nov 2026, 09:05'
 */
export function momentText(at: string, zone?: string): string {
  const clock = read(at, zone)
  return clock ? `${dateText(at, zone)}, ${clock.time}` : at
}
