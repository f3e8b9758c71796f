import type { Catalogue, Job, LogEntry, Wall } from '~~/core/job'
import { broughtUpToDate } from '~~/core/job/earlier'
import { wallKey, type Device } from './device'

/** Unsent changes of a wall as an earlier version kept them in the browser's own storage. */
interface Draft { version: number, base: Wall, wall: Wall, log: LogEntry[], models?: Partial<Catalogue> }

const DRAFT = /^wide-trellis:draft:([^/]+)\/(.+)$/

/** A wall of an earlier version in the form of this one, and what stood in it that is in the log now. */
function upToDate(wall: Wall): { wall: Wall, log: LogEntry[] } {
  const { walls, log } = broughtUpToDate({ walls: [wall], log: [] }).job as Pick<Job, 'walls' | 'log'>
  return { wall: walls[0]!, log }
}

/** Takes over what an earlier version had not sent when it was last closed; each draft goes once it is in the device's store. */
export async function bringInDrafts(device: Device, storage: Storage = localStorage): Promise<void> {
  for (const name of Object.keys(storage)) {
    const [, site, id] = DRAFT.exec(name) ?? []
    if (!site || !id) continue
    const { version, base, wall, log, models = {} } = JSON.parse(storage.getItem(name)!) as Draft
    const [before, after] = [upToDate(base), upToDate(wall)]
    const known = new Set(before.log.map(({ id }) => id))
    const entries = [...log, ...after.log.filter(({ id }) => !known.has(id))]
    const key = wallKey(site, id)
    await device.transaction('rw', device.designs, device.entries, async () => {
      if (!await device.designs.get(key)) await device.designs.put({ key, site, id, version, base: before.wall, wall: after.wall, models, by: '' })
      await device.entries.bulkAdd(entries.map(entry => ({ key, site, wall: id, entry })))
    })
    storage.removeItem(name)
  }
}
