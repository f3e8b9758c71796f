import type { LogEntry } from '~~/core/job'
import type { Device } from './device'

/** The entries of a wall's log that the server does not have yet, in the order in which they were made here. */
export const unsentOf = async (device: Device, key: string): Promise<LogEntry[]> =>
  (await device.entries.where('key').equals(key).sortBy('n')).filter(({ refused }) => refused === undefined)
    .map(({ entry }) => entry)
