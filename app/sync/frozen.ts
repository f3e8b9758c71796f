import type { LogEntry } from '~~/core/job'
import { ofKind, standing, type WallName } from '~~/core/log'
import type { Frozen } from '~~/core/revision'
import { wallKey, type Device } from './device'

/** The id of what was frozen when a wall was issued last. */
export const lastFrozen = (log: LogEntry[], wall: WallName): string | undefined =>
  ofKind(standing(log, wall), 'issued').findLast(({ frozen }) => frozen !== undefined)?.frozen

/**
 * What was frozen under an id: from this device, or, where it has it not, from the server, to be kept here from then
 * on. Undefined where neither is to be had.
 */
export async function frozenOfId(device: Device, site: string, wall: string, id: string): Promise<Frozen | undefined> {
  const known = await device.revisions.get(id).catch(() => undefined)
  if (known) return known.frozen
  try {
    const frozen = await api<Frozen>(`/sites/${site}/walls/${wall}/revisions/${id}`)
    await device.revisions.put({ id, key: wallKey(site, wall), site, wall, frozen }).catch(() => {})
    return frozen
  }
  catch {
    return undefined
  }
}
