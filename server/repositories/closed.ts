import { and, eq, sql } from 'drizzle-orm'
import { perDatabase, type Database } from '../database/perDatabase'
import { log } from '../database/schema'

const SIGNED = and(eq(log.site, sql.placeholder('site')), eq(log.kind, 'signed'))
const signedOfSite = perDatabase(db => db.selectDistinct({ wall: log.wall }).from(log).where(SIGNED).prepare())
const signedOfWall = perDatabase(db =>
  db
    .select({ key: log.key })
    .from(log)
    .where(and(SIGNED, eq(log.wall, sql.placeholder('wall'))))
    .limit(1)
    .prepare(),
)

const issuedOfWall = perDatabase(db =>
  db
    .select({ key: log.key })
    .from(log)
    .where(and(eq(log.site, sql.placeholder('site')), eq(log.kind, 'issued'), eq(log.wall, sql.placeholder('wall'))))
    .limit(1)
    .prepare(),
)

/** Whether a mark-out of a wall was ever issued. */
export const wasIssued = (db: Database, site: number, wall: string): boolean =>
  issuedOfWall(db).get({ site, wall }) !== undefined

/** Whether a wall was handed over: a person signed it. */
export const isHandedOver = (db: Database, site: number, wall: string): boolean =>
  signedOfWall(db).get({ site, wall }) !== undefined

/** Walls of a site that were handed over. */
export const wallsHandedOver = (db: Database, site: number): Set<string> =>
  new Set(
    signedOfSite(db)
      .all({ site })
      .map(({ wall }) => wall),
  )

/** Whether any wall of a site was handed over. */
export const siteHandedOver = (db: Database, site: number): boolean => wallsHandedOver(db, site).size > 0
