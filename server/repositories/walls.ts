import { and, asc, eq, sql } from 'drizzle-orm'
import { wallFaults, type Job, type Wall } from '../../core/job'
import { infeasibleInputs } from '../../core/plan'
import { perDatabase } from '../database/perDatabase'
import { rowToPart, type Part } from '../database/records'
import { log, walls } from '../database/schema'
import { insertPart, loadLists, replacePart, wallBranch } from '../database/tree'
import type { Database } from '../database/perDatabase'
import { notFound, refusal, unfit } from '../utils/refusal'
import { addModels, forgetHead, loadJobHead, siteRow } from './sites'

/** A wall as kept: the job with only this wall and its log, and which version of the wall it is. */
export interface WallState {
  job: Job
  version: number
  savedAt: string
  savedBy: string
}

const wallOfSite = perDatabase(db =>
  db.select().from(walls).where(and(eq(walls.parent, sql.placeholder('site')), eq(walls.id, sql.placeholder('id')))).prepare())
const logOfWall = perDatabase(db =>
  db.select().from(log).where(and(eq(log.parent, sql.placeholder('site')), eq(log.wall, sql.placeholder('id')))).orderBy(asc(log.key)).prepare())

function wallRow(db: Database, site: number, id: string) {
  const row = wallOfSite(db).get({ site, id })
  if (!row) throw notFound('wall of this name on this site')
  return row
}

/** Walls as read, by key: one version of a wall is read by many and never changes. */
const readWalls = perDatabase(() => new Map<number, { version: number, wall: Wall }>())
/** So many are kept at hand; the one longest there makes room. */
const AT_HAND = 100

/** A wall row as the job file has it; lists that the format wants are there even when empty. Not to be changed. */
export function loadWall(db: Database, row: ReturnType<typeof wallRow>): Wall {
  const known = readWalls(db).get(row.key)
  if (known?.version === row.version) return known.wall
  const part = loadLists(db, wallBranch.lists, rowToPart(walls, row), row.key)
  return keepAtHand(db, row.key, row.version, { covering: [], arrays: [], ...part } as unknown as Wall)
}

function keepAtHand(db: Database, key: number, version: number, wall: Wall): Wall {
  const atHand = readWalls(db)
  atHand.delete(key)
  if (atHand.size >= AT_HAND) atHand.delete(atHand.keys().next().value!)
  atHand.set(key, { version, wall })
  return wall
}

export function readWall(db: Database, siteId: string, id: string): WallState {
  const site = siteRow(db, siteId)
  const row = wallRow(db, site.key, id)
  const entries = logOfWall(db).all({ site: site.key, id })
  const job = loadJobHead(db, site)
  return {
    job: { ...job, walls: [loadWall(db, row)], log: entries.map(entry => rowToPart(log, entry)) as unknown as Job['log'] },
    version: row.version,
    savedAt: row.savedAt,
    savedBy: row.savedBy,
  }
}

/** Faults of a wall that is to take the place of `before`: an edit may leave what cannot be, not bring it in. */
function faultsOfEdit(wall: unknown, before: Wall | undefined, { catalogue }: Pick<Job, 'catalogue'>) {
  const faults = wallFaults(wall, catalogue, '$', before)
  if (faults.length > 0) return faults
  const known = new Set((before ? infeasibleInputs(before, catalogue) : []).map(({ path, message }) => `${path} ${message}`))
  return infeasibleInputs(wall as Wall, catalogue).filter(({ path, message }) => !known.has(`${path} ${message}`))
}

/**
 * Puts a wall in the place of the version it was made from.
 *
 * @param models what the wall takes from the firm's catalogue that its site does not have yet, in lists as a job file's
 * @throws 409 with the state kept now, where somebody saved in between; 422 with every fault
 */
export function saveWall(db: Database, siteId: string, id: string, wall: unknown, version: unknown, by: string, at: string, models: unknown = {}): Pick<WallState, 'version' | 'savedAt' | 'savedBy'> {
  const site = siteRow(db, siteId)
  const save = () => db.transaction(() => {
    const row = wallRow(db, site.key, id)
    if (version !== row.version) {
      throw refusal(409, 'stale', `${row.savedBy || 'Somebody'} saved this wall after you opened it.`, { current: readWall(db, siteId, id) })
    }
    addModels(db, site, models)
    const before = loadWall(db, row)
    const faults = faultsOfEdit(wall, before, loadJobHead(db, site))
    if (faults.length > 0) throw unfit(faults)
    if ((wall as Wall).id !== id) throw unfit([{ path: '$.id', message: `must be “${id}”, as in the address` }])
    const next = { version: row.version + 1, savedAt: at, savedBy: by }
    replacePart(db, wallBranch, structuredClone(wall) as Part, structuredClone(before) as unknown as Part, row.key, next)
    return { key: row.key, next }
  })
  let saved: ReturnType<typeof save>
  try {
    saved = save()
  }
  catch (error) {
    forgetHead(db, site)
    throw error
  }
  keepAtHand(db, saved.key, saved.next.version, wall as Wall)
  return saved.next
}

/** Keeps a new wall. @throws 409 where the site has one of this id, 422 with every fault */
export function createWall(db: Database, siteId: string, wall: unknown, by: string, at: string): string {
  return db.transaction(() => {
    const site = siteRow(db, siteId)
    const faults = faultsOfEdit(wall, undefined, loadJobHead(db, site))
    if (faults.length > 0) throw unfit(faults)
    const { id } = wall as Wall
    const taken = db.select({ key: walls.key }).from(walls).where(and(eq(walls.parent, site.key), eq(walls.id, id))).get()
    if (taken) throw refusal(409, 'wall-exists', `This site has a wall “${id}” already.`)
    insertPart(db, wallBranch, structuredClone(wall) as Part, { parent: site.key, savedAt: at, savedBy: by })
    return id
  })
}
