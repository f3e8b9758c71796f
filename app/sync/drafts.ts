import type { Catalogue, Job, LogEntry, Wall } from '~~/core/job'
import { wallKey, type Device } from './device'

/** Unsent changes of a wall as an earlier version kept them in the browser's own storage. */
interface Draft { version: number, base: Wall, wall: Wall, log: LogEntry[], models?: Partial<Catalogue> }

/** What an earlier version kept and nobody can read any more: under which name, the text, and why not. */
export interface BrokenDraft { name: string, text: string, why: string }

const DRAFT = /^wide-trellis:draft:([^/]+)\/(.+)$/

/** A wall of an earlier version in the form of this one, and what stood in it that is in the log now. */
async function upToDate(wall: Wall): Promise<{ wall: Wall, log: LogEntry[] }> {
  const { broughtUpToDate } = await import('~~/core/job/earlier')
  const { walls, log } = broughtUpToDate({ walls: [wall], log: [] }).job as Pick<Job, 'walls' | 'log'>
  return { wall: walls[0]!, log }
}

/** A kept text as a draft. @throws Error in words where it is none */
function draftOf(text: string): Draft {
  const draft = JSON.parse(text) as Partial<Draft> | null
  const isWall = (wall: unknown) =>
    typeof wall === 'object' && wall !== null && Array.isArray((wall as Partial<Wall>).arrays)
  if (typeof draft?.version !== 'number' || !isWall(draft.base) || !isWall(draft.wall) || !Array.isArray(draft.log))
    throw new Error('The stored changes are incomplete.')
  return draft as Draft
}

async function bringIn(
  device: Device,
  site: string,
  id: string,
  { version, base, wall, log, models = {} }: Draft,
): Promise<void> {
  const [before, after] = [await upToDate(base), await upToDate(wall)]
  const known = new Set(before.log.map(({ id }) => id))
  const entries = [...log, ...after.log.filter(({ id }) => !known.has(id))]
  const key = wallKey(site, id)
  await device.transaction('rw', device.designs, device.entries, async () => {
    if (!(await device.designs.get(key)))
      await device.designs.put({ key, site, id, version, base: before.wall, wall: after.wall, models })
    await device.entries.bulkAdd(entries.map(entry => ({ key, site, wall: id, entry })))
  })
}

/**
 * Takes over what an earlier version had not sent when it was last closed; each draft goes once it is in the device's
 * store. One that cannot be read stays where it is.
 */
export async function bringInDrafts(device: Device, storage: Storage = localStorage): Promise<BrokenDraft[]> {
  const broken: BrokenDraft[] = []
  for (const name of Object.keys(storage)) {
    const [, site, id] = DRAFT.exec(name) ?? []
    if (!site || !id) continue
    const text = storage.getItem(name)!
    try {
      await bringIn(device, site, id, draftOf(text))
      storage.removeItem(name)
    }
    catch (error) {
      broken.push({ name: `${site}/${id}`, text, why: (error as Error).message })
    }
  }
  return broken
}

/** Drops a draft that cannot be read. */
export const dropDraft = ({ name }: BrokenDraft, storage: Storage = localStorage): void =>
  storage.removeItem(`wide-trellis:draft:${name}`)
