import { and, asc, eq, sql } from 'drizzle-orm'
import type { StoredRevision, Wall } from '../../core/job'
import { perDatabase, type Database } from '../database/perDatabase'
import { revisions } from '../database/schema'
import { notFound } from '../utils/apiError'
import { siteRow } from './siteRows'
import { wallDocument } from './wallRows'

const OF_WALL = and(eq(revisions.site, sql.placeholder('site')), eq(revisions.wall, sql.placeholder('wall')))
const everyRevision = perDatabase(db => db.select({ document: revisions.document }).from(revisions).where(OF_WALL).orderBy(asc(revisions.key)).prepare())
const revisionOfId = perDatabase(db => db.select({ document: revisions.document }).from(revisions).where(and(OF_WALL, eq(revisions.id, sql.placeholder('id')))).prepare())

/** What was frozen of a wall, in the order in which it came, as JSON. */
export const revisionTexts = (db: Database, site: number, wall: string): string[] => everyRevision(db).all({ site, wall }).map(({ document }) => document)

/** What was frozen of a wall under an id, as JSON; undefined where nothing was. */
export const revisionText = (db: Database, site: number, wall: string, id: string): string | undefined => revisionOfId(db).get({ site, wall, id })?.document

/** A wall as a job file has it, with what was frozen of it. */
export function withRevisions(db: Database, site: number, wall: Wall): Wall {
  const texts = revisionTexts(db, site, wall.id)
  return texts.length === 0 ? wall : { ...wall, revisions: texts.map(text => JSON.parse(text) as StoredRevision) }
}

/** Keeps what was frozen; what is there already stays as it is. */
export function keepRevision(db: Database, site: number, wall: string, { id, ...rest }: StoredRevision): void {
  db.insert(revisions).values({ site, wall, id, document: JSON.stringify({ id, ...rest }) }).onConflictDoNothing().run()
}

/** What was frozen of a wall under an id, as JSON. @throws 404 */
export function readRevision(db: Database, siteId: string, wall: string, id: string): string {
  const site = siteRow(db, siteId)
  wallDocument(db, site.key, wall)
  const text = revisionText(db, site.key, wall, id)
  if (text === undefined) throw notFound('this revision of the wall')
  return text
}

/** Keeps what was frozen of a wall, which has been looked at: its entry in the log then issues it. @throws 404 */
export function addRevision(db: Database, siteId: string, wall: string, frozen: StoredRevision): void {
  db.transaction(() => {
    const { key } = siteRow(db, siteId)
    wallDocument(db, key, wall)
    keepRevision(db, key, wall, frozen)
  }, { behavior: 'immediate' })
}

const AFTER = /"after":"([0-9a-f]{64})"/

/** The revision that one comes after, as JSON; undefined where it names none that is here. @throws 404 */
export function previousOf(db: Database, siteId: string, wall: string, text: string): string | undefined {
  const site = siteRow(db, siteId)
  wallDocument(db, site.key, wall)
  // Read whole only in the thread that looks at it: here no more than this one name is wanted.
  const id = AFTER.exec(text)?.[1]
  return id === undefined ? undefined : revisionText(db, site.key, wall, id)
}
