import { and, asc, eq, sql } from 'drizzle-orm'
import type { Wall } from '../../core/job'
import { perDatabase, type Database } from '../database/perDatabase'
import { walls } from '../database/schema'
import { notFound } from '../utils/apiError'
import { parsedOnce } from './documents'

/** A wall's row. */
export type WallRow = typeof walls.$inferSelect

const ONE_WALL = and(eq(walls.site, sql.placeholder('site')), eq(walls.id, sql.placeholder('id')))
const wallOfSite = perDatabase(db => db.select().from(walls).where(ONE_WALL).prepare())
/** The key of a wall by its site and id. */
export const keyOfWall = perDatabase(db => db.select({ key: walls.key }).from(walls).where(ONE_WALL).prepare())
/** Every wall of a site, in the order in which they were begun. */
export const everyWall = perDatabase(db =>
  db
    .select()
    .from(walls)
    .where(eq(walls.site, sql.placeholder('site')))
    .orderBy(asc(walls.key))
    .prepare(),
)

/** A wall's row, or 404. */
export function wallRow(db: Database, site: number, id: string): WallRow {
  const row = wallOfSite(db).get({ site, id })
  if (!row) throw notFound('this wall on this site')
  return row
}

/** A wall as the job file has it. Not to be changed, as others read the same one. */
export const wallOf = (db: Database, { key, document }: WallRow): Wall => parsedOnce<Wall>(db, `wall ${key}`, document)

/** The wall of a site of an id. Not to be changed, as others read the same one. @throws 404 */
export const wallDocument = (db: Database, site: number, id: string): Wall => wallOf(db, wallRow(db, site, id))

/** All walls of a site, in the order in which they were begun. */
export const wallsOfSite = (db: Database, site: number): Wall[] =>
  everyWall(db)
    .all({ site })
    .map(row => wallOf(db, row))
