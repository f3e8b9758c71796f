import type { Finding } from '../finding'
import { words } from '../units'
import type { LogEntry } from './entry'

const HOUR = 3_600_000
/** A clock ahead of the server's by more is wrong: nothing can be recorded before it happens. */
const AHEAD = 0.25
/**
 * No entry is older than this: a clock that lost its time begins before it. How late an entry comes tells nothing, as
 * files are brought in and devices wait for a signal.
 */
const FIRST = Date.parse('2020-01-01T00:00:00Z')

/**
 * How far the clock by which an entry was made is off, in hours, positive where it was ahead; 0 where it may be right,
 * or where no server has had the entry yet.
 *
 * @example
 * clockOff({ at: '2027-11-26T09:00:00Z', receivedAt: '2026-11-26T09:00:00Z' }) // 8760
 */
export function clockOff({ at, receivedAt }: Pick<LogEntry, 'at' | 'receivedAt'>): number {
  if (receivedAt === undefined) return 0
  const time = Date.parse(at)
  const off = (time - Date.parse(receivedAt)) / HOUR
  // A clock that showed no time at all is as far off as can be.
  if (Number.isNaN(off)) return Infinity
  return off > AHEAD || time < FIRST ? off : 0
}

/** Hours as a person says them. */
function longTime(hours: number): string {
  if (!Number.isFinite(hours)) return 'an unknown time'
  const [count, unit] = hours < 48 ? [hours, 'hours'] : [hours / 24, 'days']
  return `${count < 10 ? count.toFixed(1) : Math.round(count)} ${unit}`
}

/** Notes of the devices, by the name of who used them, whose clocks were far off when they made entries of a wall. */
export function clockFindings(entries: LogEntry[], wall: string): Finding[] {
  const byPerson = new Map<string, number[]>()
  for (const entry of entries) {
    const off = clockOff(entry)
    if (off !== 0) byPerson.set(entry.by, [...byPerson.get(entry.by) ?? [], off])
  }
  return [...byPerson].map(([by, offs]): Finding => {
    const most = offs.reduce((a, b) => Math.abs(b) > Math.abs(a) ? b : a)
    return {
      severity: 'note',
      code: 'clock-off',
      stage: 'hang',
      subject: { kind: 'wall', id: wall },
      message: words`The clock of ${by}’s device was ${most > 0 ? 'ahead' : 'behind'} by
        ${longTime(Math.abs(most))} when ${offs.length === 1 ? 'an entry' : `${offs.length} entries`} of the log
        arrived. The log goes by the order of arrival, not by that clock.`,
      remedy: words`Set the clock of that device.`,
    }
  })
}
