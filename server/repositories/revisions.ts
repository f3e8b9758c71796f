import { and, asc, eq, ne, sql } from 'drizzle-orm'
import type { Job, StoredRevision, Wall } from '../../core/job'
import { astray, type Frozen } from '../../core/revision'
import { perDatabase, type Database } from '../database/perDatabase'
import { revisions } from '../database/schema'
import { notFound, validationError } from '../utils/apiError'
import { wasIssued } from './closed'
import { readFirm } from './firm'
import { siteDocument, siteRow } from './siteRows'
import { wallDocument } from './wallRows'

const OF_WALL = and(eq(revisions.site, sql.placeholder('site')), eq(revisions.wall, sql.placeholder('wall')))
const everyRevision = perDatabase(db =>
  db.select({ document: revisions.document }).from(revisions).where(OF_WALL).orderBy(asc(revisions.key)).prepare(),
)
const revisionOfId = perDatabase(db =>
  db
    .select({ document: revisions.document })
    .from(revisions)
    .where(and(OF_WALL, eq(revisions.id, sql.placeholder('id'))))
    .prepare(),
)

/** What was frozen of a wall, in the order in which it came, as JSON. */
export const revisionTexts = (db: Database, site: number, wall: string): string[] =>
  everyRevision(db)
    .all({ site, wall })
    .map(({ document }) => document)

/** What was frozen of a wall under an id, as JSON; undefined where nothing was. */
export const revisionText = (db: Database, site: number, wall: string, id: string): string | undefined =>
  revisionOfId(db).get({ site, wall, id })?.document

/** A wall as a job file has it, with what was frozen of it. */
export function withRevisions(db: Database, site: number, wall: Wall): Wall {
  const texts = revisionTexts(db, site, wall.id)
  return texts.length === 0 ? wall : { ...wall, revisions: texts.map(text => JSON.parse(text) as StoredRevision) }
}

/** Keeps what was frozen; what is there already stays as it is. */
export function keepRevision(
  db: Database, site: number, wall: string, { id, ...rest }: StoredRevision, astray?: string,
): void {
  const document = JSON.stringify({ id, ...rest })
  db.insert(revisions).values({ site, wall, id, document, astray: astray ?? null }).onConflictDoNothing().run()
}

/** What was frozen of a wall under an id, as JSON. @throws 404 */
export function readRevision(db: Database, siteId: string, wall: string, id: string): string {
  const site = siteRow(db, siteId)
  wallDocument(db, site.key, wall)
  const text = revisionText(db, site.key, wall, id)
  if (text === undefined) throw notFound('this revision of the wall')
  return text
}

const ALONE = 'it comes after no revision, although this wall was issued before'

/** Whether another revision of a wall was issued already. */
const isAfterAnother = (db: Database, site: number, wall: string, id: string): boolean =>
  wasIssued(db, site, wall)
  && db
    .select({ id: revisions.id })
    .from(revisions)
    .where(and(eq(revisions.site, site), eq(revisions.wall, wall), ne(revisions.id, id)))
    .get() !== undefined

/**
 * Keeps what was frozen of a wall, which has been looked at: its entry in the log then issues it. Where it does not
 * follow from the wall as it is saved, that is noted, and a planner decides about the entry.
 *
 * @throws 404; 422 where it is of another wall
 */
export function addRevision(db: Database, siteId: string, wall: string, frozen: StoredRevision): void {
  db.transaction(() => {
    const site = siteRow(db, siteId)
    const document = wallDocument(db, site.key, wall)
    const { site: of, wall: its, after } = frozen as unknown as Frozen
    if (of.id !== siteId || its.id !== wall) {
      throw validationError([
        { path: '$.wall', message: `is the wall ${its.id} of ${of.id}: send it to the address of that one` },
      ])
    }
    const alone = after === undefined && isAfterAnother(db, site.key, wall, frozen.id)
    const job = {
      format: 'wide-trellis-job',
      version: 1,
      firm: { rules: readFirm(db).rules },
      ...siteDocument(db, site),
      walls: [document],
      log: [],
    }
    const why = alone ? ALONE : astray(frozen as unknown as Frozen, job as unknown as Job)
    keepRevision(db, site.key, wall, frozen, why)
  }, { behavior: 'immediate' })
}

/** Why a revision does not follow from its wall as it was saved; undefined where it does, or is not here. */
export const astrayRevision = (db: Database, site: number, wall: string, id: string): string | undefined =>
  db
    .select({ astray: revisions.astray })
    .from(revisions)
    .where(and(eq(revisions.site, site), eq(revisions.wall, wall), eq(revisions.id, id)))
    .get()?.astray ?? undefined

const AFTER = /"after":"([0-9a-f]{64})"/

/** The revision that one comes after, as JSON; undefined where it names none that is here. @throws 404 */
export function previousOf(db: Database, siteId: string, wall: string, text: string): string | undefined {
  const site = siteRow(db, siteId)
  wallDocument(db, site.key, wall)
  // Read whole only in the thread that looks at it: here no more than this one name is wanted.
  const id = AFTER.exec(text)?.[1]
  return id === undefined ? undefined : revisionText(db, site.key, wall, id)
}
