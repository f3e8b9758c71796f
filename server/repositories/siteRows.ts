import { and, eq, sql, type SQLWrapper } from 'drizzle-orm'
import { MODEL_KINDS, modelFaults, modelsOf, SHELVES, type Model } from '../../core/catalogue'
import { LIMITS, type Catalogue, type Job } from '../../core/job'
import { perDatabase, type Database } from '../database/perDatabase'
import { log, sites, walls } from '../database/schema'
import { notFound, validationError } from '../utils/apiError'
import { fieldsOf } from '../utils/fields'
import { parsedOnce } from './documents'

/** A site's row. */
export type SiteRow = typeof sites.$inferSelect

/** A job file without its walls and its log. */
export type SiteDocument = Omit<Job, 'format' | 'version' | 'firm' | 'walls' | 'log'>

/** Of sites those that are there: one that is being imported is not yet. */
export const IS_HERE = sql`json_extract(${sites.imported}, '$.arriving') IS NULL`

export const siteOfId = perDatabase(db =>
  db.select().from(sites).where(and(eq(sites.id, sql.placeholder('id')), IS_HERE)).prepare())

export const siteOfKey = perDatabase(db =>
  db.select().from(sites).where(eq(sites.key, sql.placeholder('key'))).prepare())

/** A site's row, or 404. */
export function siteRow(db: Database, id: string): SiteRow {
  const row = siteOfId(db).get({ id })
  if (!row) throw notFound('this site')
  return row
}

/** Whether a wall of a site, or its log, speaks of a picture. */
export function mentionsPhoto(db: Database, site: number, name: string): boolean {
  const speaks = (text: SQLWrapper) => sql`instr(${text}, ${JSON.stringify(name)}) > 0`
  return (
    db
      .select({ key: walls.key })
      .from(walls)
      .where(and(eq(walls.site, site), speaks(walls.document)))
      .get() !== undefined
      || db
        .select({ key: log.key })
        .from(log)
        .where(and(eq(log.site, site), speaks(log.entry)))
        .get() !== undefined
  )
}

/** A site's job without its walls and its log; not to be changed, as others read the same one. */
export const siteDocument = (db: Database, row: SiteRow): SiteDocument =>
  parsedOnce<SiteDocument>(db, `site ${row.key}`, row.document)

/**
 * A site's catalogue with models that it does not have yet. A model that it has stays as its walls
 * were planned with it, whatever the firm's catalogue says by now.
 *
 * @throws 422 with every fault
 */
export function withModels(catalogue: Catalogue, models: unknown): Catalogue {
  const given = fieldsOf(models)
  return MODEL_KINDS.reduce((whole, kind) => {
    const list = SHELVES[kind]
    if (given[list] === undefined) return whole
    if (!Array.isArray(given[list])) throw validationError([{ path: `$.models.${list}`, message: 'must be a list' }])
    const faults = given[list].flatMap((model: unknown) =>
      modelFaults(kind, model).map(({ path, message }) => ({ path: path.replace('$', `$.models.${list}`), message })),
    )
    if (faults.length > 0) throw validationError(faults)
    const known = new Set(modelsOf(whole, kind).map(({ id }) => id))
    const added = (given[list] as Model[]).filter(({ id }) => !known.has(id) && known.add(id))
    const most = modelsOf(whole, kind).length + added.length
    if (most > LIMITS.models)
      throw validationError([
        {
          path: `$.models.${list}`,
          message: `exceed the maximum of ${LIMITS.models} for a site, including its own: ${most}`,
        },
      ])
    return added.length > 0 ? { ...whole, [list]: [...modelsOf(whole, kind), ...added] } : whole
  }, catalogue)
}

/** Keeps the catalogue of a site. */
export function saveCatalogue(db: Database, row: SiteRow, catalogue: Catalogue): void {
  db.update(sites)
    .set({ document: JSON.stringify({ ...siteDocument(db, row), catalogue }) })
    .where(eq(sites.key, row.key))
    .run()
}
