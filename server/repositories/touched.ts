import type { TouchedWall } from '../../core/api/sites'
import { asc, eq, sql } from 'drizzle-orm'
import { group } from 'd3-array'
import { memoize } from '../../core/memo'
import { rulesFaults, type Rules } from '../../core/job'
import { touchedRules } from '../../core/rules'
import type { Database } from '../database/perDatabase'
import { revisions, sites, walls } from '../database/schema'
import { validationError } from '../utils/apiError'
import { readFirm } from './firm'
import { IS_HERE, siteDocument, siteRow, type SiteRow } from './siteRows'

function touchedOf(db: Database, rows: SiteRow[], level: 'firm' | 'site', next: Rules): TouchedWall[] {
  const { rules: firm } = readFirm(db)
  // Of a wall no more is read than its own rules: there may be thousands.
  const kept = db
    .select({
      site: walls.site,
      id: walls.id,
      name: walls.name,
      rules: sql<string | null>`json_extract(${walls.document}, '$.rules')`,
    })
    .from(walls)
    .orderBy(asc(walls.key))
    .all()
  const issued = new Set(
    db
      .selectDistinct({ site: revisions.site, wall: revisions.wall })
      .from(revisions)
      .all()
      .map(({ site, wall }) => `${site}/${wall}`),
  )
  const ofSite = group(kept, ({ site }) => site)
  return rows.flatMap((row) => {
    const { rules: site } = siteDocument(db, row)
    /** Walls that choose alike are touched alike. */
    const isTouched = memoize(
      (rules: string) =>
        touchedRules({ firm, site, wall: JSON.parse(rules) as Rules }, level, next, row.units).length > 0,
    )
    return (ofSite.get(row.key) ?? [])
      .filter(({ rules }) => isTouched(rules ?? '{}'))
      .map(({ id, name }) => ({
        site: row.id,
        siteName: row.name,
        wall: id,
        name,
        issued: issued.has(`${row.key}/${id}`),
      }))
  })
}

function checked(rules: unknown): Rules {
  const faults = rulesFaults(rules)
  if (faults.length > 0) throw validationError(faults)
  return rules as Rules
}

/**
 * Walls that are planned otherwise once the firm, or a site, has these rules. @throws 404 for the site, 422 with every
 * fault
 */
export const touchedBy = (db: Database, rules: unknown, siteId?: string): TouchedWall[] => siteId === undefined
  ? touchedOf(db, db.select().from(sites).where(IS_HERE).orderBy(asc(sites.name)).all(), 'firm', checked(rules))
  : touchedOf(db, db.select().from(sites).where(eq(sites.key, siteRow(db, siteId).key)).all(), 'site', checked(rules))
