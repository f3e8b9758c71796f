import { setImmediate } from 'node:timers/promises'
import { eq, not, sql } from 'drizzle-orm'
import { asReal, idFrom, idsNow, LIMITS, withPlainIds, type Job } from '../../core/job'
import { chainFault, type Imported } from '../../core/log'
import type { SavedBy } from '../archive/saves'
import { atomically } from '../database/atomically'
import { firmDatabase } from '../database/form'
import type { Database } from '../database/perDatabase'
import { triggerText } from '../database/migrate'
import { log as logTable, sites } from '../database/schema'
import { apiError, validationError } from '../utils/apiError'
import { keepHeads } from './heads'
import { appendEntries } from './logRows'
import { IS_HERE } from './siteRows'
import { insertWall } from './walls'

/** So many entries are added in one go; others are answered before the next. */
const BATCH = 200

/** What comes in, by whom and when; who saved each of its walls last; and what is done once all of it is there. */
interface Incoming { job: Job, imported: Imported, saves: SavedBy, place?: () => void }

const siteOfAnyId = (db: Database, id: string) =>
  db.select({ key: sites.key }).from(sites).where(eq(sites.id, id)).get()

/** @throws 409 where there is a site of an id, or one is being imported */
export function checkIsNew(db: Database, id: string): void {
  if (siteOfAnyId(db, id))
    throw apiError(409, 'site-exists', `A site “${id}” already exists. Import it as a copy, or cancel.`)
}

/** An id that no site has: the wanted one, or with the next free number behind it. */
export function freeSiteId(db: Database, wanted: string): string {
  return idFrom(wanted, 'site', db.select({ id: sites.id }).from(sites).all().map(({ id }) => id))
}

/** A job under another id and name; heads of logs are signed for the site as it was called. */
export const copyOf = ({ heads = [], ...job }: Job, id: string, name: string): Job =>
  ({ ...job, ...id === job.site.id && heads.length > 0 && { heads }, site: { ...job.site, id, name } })

/** @throws 422 where an entry is of no wall of the file */
function checkWalls({ walls, log }: Job): void {
  const ids = idsNow(walls)
  const astray = log.flatMap(({ wall }, index) => ids.has(wall)
    ? []
    : [{ path: `$.log[${index}].wall`, message: `“${wall}” is not a wall of this file` }])
  if (astray.length > 0) throw validationError(astray.slice(0, LIMITS.faults))
}

/** Begins a site that is not seen until all of it is there. */
function begin(db: Database, job: Omit<Job, 'walls' | 'log'>, imported: Imported): number {
  const { format: _f, version: _v, heads: _h, firm, ...rest } = job
  const { site } = rest
  checkIsNew(db, site.id)
  const document = { ...rest, rules: { ...firm?.rules, ...rest.rules } }
  const { lastInsertRowid } = db.insert(sites).values({
    id: site.id,
    name: site.name,
    units: site.units,
    document: JSON.stringify(document),
    imported: { ...imported, arriving: true },
  }).run()
  return Number(lastInsertRowid)
}

/**
 * Takes in a job step by step, so that others can be answered between them: at each it says the key of the site, which
 * is seen once all of it is there.
 */
function* stepsOf(db: Database, { job, imported, saves, place }: Incoming): Generator<number, string> {
  const { walls, log, ...rest } = withPlainIds(job)
  checkWalls({ ...rest, walls, log })
  const { by, at } = imported
  const key = atomically(db, () => begin(db, rest, imported))
  const ids = idsNow(walls)
  for (let from = 0; from < log.length; from += BATCH) {
    yield key
    atomically(db, () => appendEntries(db, key, log.slice(from, from + BATCH), at, ids))
  }
  atomically(db, () => {
    for (const wall of walls) {
      const saved = saves.get(wall.formerId ?? wall.id) ?? saves.get(wall.id) ?? { by, at }
      insertWall(db, key, wall, saved.by, saved.at)
    }
    keepHeads(db, key, rest.heads ?? [])
    db.update(sites).set({ imported: imported.entries > 0 ? imported : null }).where(eq(sites.key, key)).run()
    place?.()
  })
  return rest.site.id
}

/** Takes in all of a job at once, or nothing. */
const takeIn = (db: Database, incoming: Incoming): string => atomically(db, () => {
  const steps = stepsOf(db, incoming)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
})

/**
 * Keeps a job as a new site; what the firm of the file chose for all its sites is from then on what this site chose,
 * so that its walls are planned as they were. A log that has its chain keeps it; what no server has had yet is added
 * to it.
 *
 * @param job a job that `validateJob` has let through
 * @param saves who saved each wall last, where that is known
 * @throws 409 where the server has a site of this id; 422 where the log's chain is broken or an entry is of no wall
 *   of the file
 */
export function importJob(db: Database, job: Job, by: string, at: string, saves: SavedBy = new Map()): string {
  const fault = chainFault(job)
  if (fault) throw validationError([fault])
  return takeIn(db, { job: asReal(job), imported: { by, at, entries: job.log.length }, saves })
}

/** Takes in a site of the demo, which plans readings of simulated instruments. @throws as `importJob` */
export const importDemo = (db: Database, job: Job, by: string, at: string): string =>
  takeIn(db, { job: { ...job, site: { ...job.site, demo: true } }, imported: { by, at, entries: 0 }, saves: new Map() })

/**
 * Keeps a job that was read apart, where the chain of its log was checked, as `importJob` does; of a long log others
 * are answered meanwhile. Its id is taken with the call. What a power cut leaves of it goes with the next start.
 *
 * @throws as `importJob`, but for the chain
 */
export async function importInSteps(db: Database, incoming: Incoming): Promise<string> {
  const job = asReal(incoming.job)
  if (job.log.length <= BATCH) return takeIn(db, { ...incoming, job })
  const steps = stepsOf(db, { ...incoming, job })
  let key: number | undefined
  try {
    for (;;) {
      const step = steps.next()
      if (step.done) return step.value
      key = step.value
      await setImmediate()
    }
  }
  catch (error) {
    if (key !== undefined) forgetArriving(db, key)
    throw error
  }
}

/** Takes away what is there of sites that did not come in whole: of one, or of all that a power cut ended. */
export function forgetArriving(db: Database, one?: number): void {
  const begun = db.select({ key: sites.key }).from(sites).where(not(IS_HERE)).all()
    .filter(({ key }) => one === undefined || key === one)
  if (begun.length === 0) return
  const [kept] = Object.entries(firmDatabase().triggers).filter(([name]) => name === 'log_no_delete')
  atomically(db, () => {
    // Nobody has seen these entries: they are of no log yet.
    db.run(sql.raw(`DROP TRIGGER ${kept![0]}`))
    for (const { key } of begun) {
      db.delete(logTable).where(eq(logTable.site, key)).run()
      db.delete(sites).where(eq(sites.key, key)).run()
    }
    db.run(sql.raw(triggerText(...kept!)))
  })
}
