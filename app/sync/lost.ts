import type { LogEntry } from '~~/core/job'
import { lostEntries } from '~~/core/log/signedHead'
import type { ServerWall } from '~~/core/api/walls'
import type { Device } from './device'

/**
 * Entries of a wall that this device has seen and that the server's log does not have. Where an answer only came late,
 * a second one has them, and nothing is lost.
 *
 * @param read reads the wall anew
 */
export async function lostOf(device: Device, key: string, read: () => Promise<ServerWall>): Promise<LogEntry[]> {
  const suspects = await device.lost.where('key').equals(key).toArray()
  if (suspects.length === 0) return []
  const { job: { log } } = await read()
  const lost = new Set(lostEntries(suspects.map(({ entry }) => entry), log))
  await device.lost.bulkDelete(suspects.flatMap(({ id, entry }) => lost.has(entry) ? [] : [id]))
  return [...lost]
}
