import type { SiteState, SiteSummary } from '../../core/api/sites'
import { asc, eq } from 'drizzle-orm'
import { rulesFaults, siteFaults, validateJob, type Catalogue, type Job, type Site } from '../../core/job'
import type { Saves } from '../archive/saves'
import type { Database } from '../database/perDatabase'
import { sites, walls } from '../database/schema'
import { apiError, validationError } from '../utils/apiError'
import { readFirm } from './firm'
import { headsOf } from './heads'
import { importJob } from './importing'
import { logOfSite } from './logRows'
import { IS_HERE, siteDocument, siteRow } from './siteRows'
import { withRevisions } from './revisions'
import { wallsOfSite } from './wallRows'

/**
 * Sites with their walls, as far as a person sees them.
 *
 * @param sees of a site, which of its walls; undefined where he does not see it at all
 */
export function listSites(
  db: Database,
  sees: (site: { key: number, id: string }) => ((wall: string) => boolean) | undefined = () => () => true,
): SiteSummary[] {
  const wallRows = db
    .select({
      site: walls.site,
      id: walls.id,
      name: walls.name,
      width: walls.width,
      height: walls.height,
      structure: walls.structure,
      savedAt: walls.savedAt,
      savedBy: walls.savedBy,
    })
    .from(walls)
    .orderBy(asc(walls.key))
    .all()
  return db
    .select({ key: sites.key, id: sites.id, name: sites.name, units: sites.units })
    .from(sites)
    .where(IS_HERE)
    .orderBy(asc(sites.name))
    .all()
    .flatMap(({ key, ...site }) => {
      const seen = sees({ key, id: site.id })
      return seen
        ? [
            {
              ...site,
              walls: wallRows.filter(wall => wall.site === key && seen(wall.id)).map(({ site: _, ...wall }) => wall),
            },
          ]
        : []
    })
}

/** Sites with what is said of their place, as far as a person sees them. */
export function listPlaces(db: Database, sees: (site: { key: number, id: string }) => unknown = () => true): Site[] {
  return db
    .select()
    .from(sites)
    .where(IS_HERE)
    .orderBy(asc(sites.name))
    .all()
    .filter(sees)
    .map(row => siteDocument(db, row).site)
}

export function readSite(db: Database, id: string): SiteState {
  const row = siteRow(db, id)
  const { site, rules } = siteDocument(db, row)
  return { site, rules, version: row.version, firm: readFirm(db).rules }
}

/**
 * Puts a site's house rules in the place of the version they were made from; every wall is planned
 * by them from then on.
 *
 * @throws 409 with the state that the server has now, where a person changed it in between; 422 with every fault
 */
export function saveRules(db: Database, id: string, rules: unknown, version: unknown): SiteState {
  db.transaction(() => {
    const row = siteRow(db, id)
    if (version !== row.version)
      throw apiError(409, 'stale', 'Another user changed this site’s rules after you opened them.', {
        current: readSite(db, id),
      })
    const faults = rulesFaults(rules)
    if (faults.length > 0) throw validationError(faults)
    db.update(sites)
      .set({ document: JSON.stringify({ ...siteDocument(db, row), rules }), version: row.version + 1 })
      .where(eq(sites.key, row.key))
      .run()
  }, { behavior: 'immediate' })
  return readSite(db, id)
}

/** What of a site is said of the place and not of its walls. */
export const PLACE_FIELDS = [
  'contacts',
  'address',
  'access',
  'parking',
  'delivery',
  'electricalRules',
  'zone',
  'windows',
  'noise',
  'closed',
] as const
export type SitePlace = Pick<Site, typeof PLACE_FIELDS[number]>

/**
 * Puts what is said of a site's place, people to call, access, windows, in the place of that of the version it was made
 * from. What is not named stays; what is null is taken away.
 *
 * @throws 409 with the state that the server has now, where a person changed the site in between; 422 with every fault
 */
export function savePlace(db: Database, id: string, place: Record<string, unknown>, version: unknown): SiteState {
  db.transaction(() => {
    const row = siteRow(db, id)
    if (version !== row.version)
      throw apiError(409, 'stale', 'Another user changed this site after you opened it.', { current: readSite(db, id) })
    const document = siteDocument(db, row)
    const given = Object.fromEntries(PLACE_FIELDS.flatMap(key => key in place ? [[key, place[key] ?? undefined]] : []))
    const site = Object.fromEntries(
      Object.entries({ ...document.site, ...given }).filter(([, value]) => value !== undefined),
    ) as Site
    const faults = siteFaults(site)
    if (faults.length > 0) throw validationError(faults)
    db.update(sites)
      .set({ document: JSON.stringify({ ...document, site }), version: row.version + 1 })
      .where(eq(sites.key, row.key))
      .run()
  }, { behavior: 'immediate' })
  return readSite(db, id)
}

/** The firm's part of a job file; none where it chose nothing. */
function firmOf(db: Database): Pick<Job, 'firm'> {
  const { rules } = readFirm(db)
  return Object.keys(rules).length > 0 ? { firm: { rules } } : {}
}

/** A whole site as its job file. */
export function exportJob(db: Database, id: string): Job {
  const row = siteRow(db, id)
  const heads = headsOf(db, row.key)
  return {
    format: 'wide-trellis-job', version: 1, ...firmOf(db), ...siteDocument(db, row),
    walls: wallsOfSite(db, row.key).map(wall => withRevisions(db, row.key, wall)),
    log: logOfSite(db, row.key),
    ...heads.length > 0 && { heads },
  }
}

/** Who saved each wall of a site last, and when. */
export const savesOfSite = (db: Database, id: string): Saves['walls'] =>
  db
    .select({ wall: walls.id, by: walls.savedBy, at: walls.savedAt })
    .from(walls)
    .where(eq(walls.site, siteRow(db, id).key))
    .orderBy(asc(walls.key))
    .all()

/** Keeps a new site with the given catalogue and no walls yet. */
export function createSite(db: Database, site: Site, catalogue: Catalogue, by: string, at: string): string {
  return importJob(
    db,
    validateJob({ format: 'wide-trellis-job', version: 1, site, rules: {}, catalogue, walls: [], log: [] }),
    by,
    at,
  )
}
