import { asc, eq } from 'drizzle-orm'
import { rulesFaults, type Rules } from '../../core/job'
import { touchedRules } from '../../core/rules'
import type { Database } from '../database/perDatabase'
import { sites } from '../database/schema'
import { validationError } from '../utils/apiError'
import { readFirm } from './firm'
import { revisionTexts } from './revisions'
import { siteDocument, siteRow, type SiteRow } from './siteRows'
import { wallsOfSite } from './wallRows'

/** A wall that is planned otherwise once rules are others, and whether something was issued of it. */
export interface TouchedWall { site: string, siteName: string, wall: string, name: string, issued: boolean }

function touchedOf(db: Database, rows: SiteRow[], level: 'firm' | 'site', next: Rules): TouchedWall[] {
  const { rules: firm } = readFirm(db)
  return rows.flatMap((row) => {
    const { rules } = siteDocument(db, row)
    return wallsOfSite(db, row.key).filter(wall => touchedRules({ firm, site: rules, wall: wall.rules ?? {} }, level, next, row.units).length > 0)
      .map(wall => ({ site: row.id, siteName: row.name, wall: wall.id, name: wall.name, issued: revisionTexts(db, row.key, wall.id).length > 0 }))
  })
}

function checked(rules: unknown): Rules {
  const faults = rulesFaults(rules)
  if (faults.length > 0) throw validationError(faults)
  return rules as Rules
}

/** Walls that are planned otherwise once the firm, or a site, has these rules. @throws 404 for the site, 422 with every fault */
export const touchedBy = (db: Database, rules: unknown, siteId?: string): TouchedWall[] => siteId === undefined
  ? touchedOf(db, db.select().from(sites).orderBy(asc(sites.name)).all(), 'firm', checked(rules))
  : touchedOf(db, db.select().from(sites).where(eq(sites.key, siteRow(db, siteId).key)).all(), 'site', checked(rules))
