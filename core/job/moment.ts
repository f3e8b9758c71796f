/** How a date and time with its zone is written (ISO 8601), be there such a day or not. */
export const WRITTEN_MOMENT = /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)$/

/**
 * Whether a text is a date and time, with its zone (ISO 8601), that a clock of these years can show.
 *
 * @example
 * isMoment('2026-02-28T09:00:00Z') // true
 * isMoment('2026-02-31T09:00:00Z') // false: there is no such day
 */
export function isMoment(text: string): boolean {
  if (!WRITTEN_MOMENT.test(text)) return false
  const [, time, zone] = /^(.*?)(?:Z|[+-](\d\d:\d\d))$/.exec(text)!
  const [year, month, day, hour, minute, second = 0] = time!.split(/[-T:]/).map(Number) as [
    number,
    number,
    number,
    number,
    number,
    number?,
  ]
  const [zoneHour, zoneMinute] = (zone ?? '00:00').split(':').map(Number) as [number, number]
  const date = new Date(Date.UTC(year, month - 1, day))
  return year >= 2000 && year <= 2100 && date.getUTCMonth() === month - 1 && date.getUTCDate() === day
    && hour < 24 && minute < 60 && second < 60 && zoneHour <= 14 && zoneMinute < 60
}
