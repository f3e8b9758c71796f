import { asc, count, eq, sql } from 'drizzle-orm'
import { KINDS, MODEL_KINDS, modelFaults, modelsOf } from '../../core/catalogue'
import { rulesFaults, validateJob, type Catalogue, type Job, type Rules, type Site } from '../../core/job'
import { partToRow, rowToPart, type Part } from '../database/records'
import { perDatabase } from '../database/perDatabase'
import { sites, walls } from '../database/schema'
import { catalogueLists, insertPart, loadLists, siteBranch } from '../database/tree'
import type { Database } from '../database/perDatabase'
import { fieldsOf } from '../utils/fields'
import { notFound, refusal, unfit } from '../utils/refusal'

/** A site in the list of sites. */
export interface SiteSummary extends Site {
  walls: { id: string, name: string, width: number, height: number, structure: string, savedAt: string, savedBy: string }[]
}

const siteOfId = perDatabase(db => db.select().from(sites).where(eq(sites['site.id'], sql.placeholder('id'))).prepare())

/** A site's row, or 404. */
export function siteRow(db: Database, id: string) {
  const row = siteOfId(db).get({ id })
  if (!row) throw notFound('site of this name')
  return row
}

export function listSites(db: Database): SiteSummary[] {
  const wallRows = db.select({
    parent: walls.parent, id: walls.id, name: walls.name, width: walls.width, height: walls.height,
    structure: walls['structure.kind'], savedAt: walls.savedAt, savedBy: walls.savedBy,
  }).from(walls).orderBy(asc(walls.key)).all()
  return db.select().from(sites).orderBy(asc(sites['site.name'])).all().map(site => ({
    id: site['site.id'],
    name: site['site.name'],
    units: site['site.units'] as Site['units'],
    walls: wallRows.filter(({ parent }) => parent === site.key).map(({ parent: _, ...wall }) => wall),
  }))
}

/** Sites as read, by key: a site's catalogue and rules are read with each of its walls, and seldom change. */
const heads = perDatabase(() => new Map<number, Job>())

/** A job without its walls and log; not to be changed, as others read the same one. */
export function loadJobHead(db: Database, row: ReturnType<typeof siteRow>): Job {
  const known = heads(db).get(row.key)
  if (known) return known
  const part = loadLists(db, catalogueLists, rowToPart(sites, row), row.key)
  const head = { rules: {}, ...part, format: 'wide-trellis-job', version: 1, walls: [], log: [] } as unknown as Job
  heads(db).set(row.key, head)
  return head
}

/** What a site decides for all its walls, and which version of that it is. */
export interface SiteState { site: Site, rules: Rules, version: number }

export function readSite(db: Database, id: string): SiteState {
  const row = siteRow(db, id)
  const { site, rules } = loadJobHead(db, row)
  return { site, rules, version: row.version }
}

/**
 * Puts a site's house rules in the place of the version they were made from; every wall is planned
 * by them from then on.
 *
 * @throws 409 with what is kept now, where somebody changed it in between; 422 with every fault
 */
export function saveRules(db: Database, id: string, rules: unknown, version: unknown): SiteState {
  db.transaction(() => {
    const row = siteRow(db, id)
    if (version !== row.version) throw refusal(409, 'stale', 'Somebody changed this site’s rules after you opened them.', { current: readSite(db, id) })
    const faults = rulesFaults(rules)
    if (faults.length > 0) throw unfit(faults)
    const { rules: _, ...rest } = rowToPart(sites, structuredClone(row))
    db.update(sites).set({ ...partToRow(sites, structuredClone({ ...rest, rules }) as Part), version: row.version + 1 }).where(eq(sites.key, row.key)).run()
    forgetHead(db, row)
  })
  return readSite(db, id)
}

/** Reads a site anew next time: what was read while something was under way that was then refused is not so. */
export function forgetHead(db: Database, row: ReturnType<typeof siteRow>): void {
  heads(db).delete(row.key)
}

/**
 * Adds models to a site's catalogue that it does not have. A model that it has stays as its walls
 * were planned with it, whatever the firm's catalogue says by now.
 *
 * @throws 422 with every fault
 */
export function addModels(db: Database, row: ReturnType<typeof siteRow>, models: unknown): void {
  const given = fieldsOf(models)
  const { catalogue } = loadJobHead(db, row)
  let added = false
  for (const kind of MODEL_KINDS) {
    const { list } = KINDS[kind]
    const branch = catalogueLists[`catalogue.${list}`]
    if (given[list] === undefined || !branch) continue
    if (!Array.isArray(given[list])) throw unfit([{ path: `$.models.${list}`, message: 'must be a list' }])
    const known = new Set(modelsOf(catalogue, kind).map(({ id }) => id))
    for (const model of given[list] as unknown[]) {
      const faults = modelFaults(kind, model)
      if (faults.length > 0) throw unfit(faults.map(({ path, message }) => ({ path: path.replace('$', `$.models.${list}`), message })))
      if (known.has((model as Part).id as string)) continue
      insertPart(db, branch, structuredClone(model) as Part, { parent: row.key })
      added = true
    }
  }
  if (added) forgetHead(db, row)
}

/** A whole site as its job file. */
export function exportJob(db: Database, id: string): Job {
  const row = siteRow(db, id)
  const job = { ...loadJobHead(db, row) } as unknown as Part
  const { walls: wallList, log } = siteBranch.lists
  return loadLists(db, { walls: wallList!, log: log! }, job, row.key) as unknown as Job
}

/** Keeps a job as a new site. @throws 409 where a site of this id is kept already */
export function importJob(db: Database, job: Job, by: string, at: string): string {
  const { format: _f, version: _v, ...part } = structuredClone(validateJob(job)) as unknown as Part
  const { id } = job.site
  return db.transaction(() => {
    if (db.select({ n: count() }).from(sites).where(eq(sites['site.id'], id)).get()!.n > 0) {
      throw refusal(409, 'site-exists', `A site “${id}” is kept here already. Bring it in as a copy, or leave it.`)
    }
    const key = insertPart(db, siteBranch, part, {})
    db.update(walls).set({ savedAt: at, savedBy: by }).where(eq(walls.parent, key)).run()
    return id
  })
}

/** An id that no site has: the wanted one, or with the next free number behind it. */
export function freeSiteId(db: Database, wanted: string): string {
  const taken = new Set(db.select({ id: sites['site.id'] }).from(sites).all().map(({ id }) => id))
  let id = wanted
  for (let n = 2; taken.has(id); n++) id = `${wanted}-${n}`
  return id
}

/** Keeps a new site with the given catalogue and no walls yet. */
export function createSite(db: Database, site: Site, catalogue: Catalogue, by: string, at: string): string {
  return importJob(db, { format: 'wide-trellis-job', version: 1, site, rules: {}, catalogue, walls: [], log: [] }, by, at)
}
