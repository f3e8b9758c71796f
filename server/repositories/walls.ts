import type { ServerWall, WallVersion } from '../../core/api/walls'
import { eq, sql } from 'drizzle-orm'
import { modelsUsedBy } from '../../core/catalogue'
import {
  LIMITS,
  PLAIN_ID,
  same, simulatedFaults,
  withNumbers,
  type Catalogue,
  type Fault,
  type Job,
  type Wall,
} from '../../core/job'
import { faultsOfEdit } from '../../core/edits/faultsOfEdit'
import { perDatabase, type Database } from '../database/perDatabase'
import { wallModels, walls } from '../database/schema'
import { apiError, notFound, validationError } from '../utils/apiError'
import { parsedOnce } from './documents'
import { firmRulesText, readFirm } from './firm'
import { headsOf } from './heads'
import { entriesOf, logPages, segmentsBefore, segmentText } from './logRows'
import { keepRevision, revisionTexts } from './revisions'
import { siteDocument, saveCatalogue, siteRow, withModels, type SiteRow } from './siteRows'
import { everyWall, keyOfWall, wallOf, wallRow, type WallRow } from './wallRows'
import type { By } from '../utils/by'

const updateWall = perDatabase(db =>
  db
    .update(walls)
    .set({
      name: sql`${sql.placeholder('name')}`,
      width: sql`${sql.placeholder('width')}`,
      height: sql`${sql.placeholder('height')}`,
      structure: sql`${sql.placeholder('structure')}`,
      version: sql`${sql.placeholder('version')}`,
      savedAt: sql`${sql.placeholder('savedAt')}`,
      savedBy: sql`${sql.placeholder('savedBy')}`,
      document: sql`${sql.placeholder('document')}`,
    })
    .where(eq(walls.key, sql.placeholder('key')))
    .prepare(),
)

export function readWall(db: Database, siteId: string, id: string): ServerWall {
  const site = siteRow(db, siteId)
  const row = wallRow(db, site.key, id)
  const { version, savedAt, savedBy } = row
  return {
    job: {
      format: 'wide-trellis-job',
      version: 1,
      firm: { rules: readFirm(db).rules },
      ...siteDocument(db, site),
      walls: [wallOf(db, row)],
      log: entriesOf(db, site.key, id),
    },
    version,
    savedAt,
    savedBy,
  }
}

/** In which units a site is kept. */
export const siteUnits = (db: Database, siteId: string): Job['site']['units'] =>
  siteDocument(db, siteRow(db, siteId)).site.units

/** A job as JSON up to its log, put together from what the database has as JSON. */
const jobText = (db: Database, site: SiteRow, documents: string): string =>
  `{"format":"wide-trellis-job","version":1,"firm":{"rules":${firmRulesText(db)}},`
  + `${site.document.slice(1, -1)},"walls":[${documents}],"log":`

/** A job as JSON with the log of its site or of one wall, by pages. What it says is of the moment of the first. */
function* jobPages(db: Database, site: SiteRow, documents: string, wall?: string): Generator<string> {
  const log = logPages(db, site.key, wall)
  const heads = JSON.stringify(headsOf(db, site.key))
  yield jobText(db, site, documents)
  yield* log
  yield `,"heads":${heads}}`
}

/** A wall as a job file has it, with what was frozen of it. */
function withRevisionsText(db: Database, site: number, { id, document }: Pick<WallRow, 'id' | 'document'>): string {
  const frozen = revisionTexts(db, site, id)
  return frozen.length === 0 ? document : `${document.slice(0, -1)},"revisions":[${frozen.join(',')}]}`
}

/** The job with only this wall, what was issued of it, and its log, as JSON by pages. */
export function* wallJobPages(db: Database, siteId: string, id: string): Generator<string> {
  const site = siteRow(db, siteId)
  yield* jobPages(db, site, withRevisionsText(db, site.key, wallRow(db, site.key, id)), id)
}

/**
 * A wall as the server has it, as JSON; what was issued of it has addresses of its own, and so have `earlier` segments
 * of a log that is longer than one.
 */
export function readWallText(db: Database, siteId: string, id: string): string {
  const site = siteRow(db, siteId)
  const row = wallRow(db, site.key, id)
  const { version, savedAt, savedBy } = row
  const earlier = segmentsBefore(db, site.key, id)
  const job = `${jobText(db, site, row.document)}${segmentText(db, site.key, id, earlier)}}`
  const more = JSON.stringify({ version, savedAt, savedBy, ...earlier > 0 && { earlier } })
  return `{"job":${job},${more.slice(1)}`
}

/** A full segment of a wall’s log, by its number, as a JSON list. @throws 404 where it is not there or not full */
export function readSegment(db: Database, siteId: string, id: string, segment: number): string {
  const site = siteRow(db, siteId)
  wallRow(db, site.key, id)
  if (!Number.isInteger(segment) || segment < 0 || segment >= segmentsBefore(db, site.key, id))
    throw notFound('this segment of the log')
  return segmentText(db, site.key, id, segment)
}

/** A whole site as its job file, as JSON by pages, in no particular order. */
export function* siteJobPages(db: Database, siteId: string): Generator<string> {
  const site = siteRow(db, siteId)
  const wallsText = everyWall(db).all({ site: site.key }).map(row => withRevisionsText(db, site.key, row)).join(',')
  yield* jobPages(db, site, wallsText)
}

/** Faults of a wall that is to take the place of `before`. */
function faultsOfSave(wall: unknown, before: Wall | undefined, catalogue: Catalogue): Fault[] {
  if ((wall as Partial<Wall> | null)?.revisions !== undefined)
    return [{ path: '$.revisions', message: 'are issued separately, and cannot be saved with the wall' }]
  return faultsOfEdit(wall, before, catalogue)
}

function saveModelsUsed(db: Database, key: number, wall: Wall): void {
  db.delete(wallModels).where(eq(wallModels.wall, key)).run()
  const used = modelsUsedBy(wall).map(({ kind, id }) => ({ wall: key, kind, model: id }))
  if (used.length > 0) db.insert(wallModels).values(used).run()
}

const columnsOf = ({ name, width, height, structure }: Wall) => ({ name, width, height, structure: structure.kind })

/**
 * A wall whose readings are by whom the server knows: those that it had stay by anyone who took them, new ones are by
 * anyone who saves.
 */
function withAuthors(after: Wall, before: Wall, by: string): Wall {
  if (!after.evidence || after.evidence === before.evidence) return after
  const known = new Map((before.evidence ?? []).map(reading => [reading.id, reading.by]))
  const said = (reading: NonNullable<Wall['evidence']>[number]) =>
    known.has(reading.id) ? known.get(reading.id) : reading.by === undefined ? undefined : by
  if (after.evidence.every(reading => reading.by === said(reading))) return after
  return { ...after, evidence: after.evidence.map((reading) => {
    const { by: _, ...rest } = reading
    const name = said(reading)
    return name === reading.by ? reading : { ...rest, ...name !== undefined && { by: name } }
  }) }
}

/**
 * Puts a wall in the place of the version it was made from.
 *
 * @returns the new version, with the wall where it is kept otherwise than it came: numbers were given, or authors
 * @param models what the wall takes from the firm's catalogue that its site does not have yet, in lists as a job file's
 * @throws 409 with the state that the server has now, where a person saved in between; 422 with every fault
 */
export function saveWall(
  db: Database,
  { siteId, id }: { siteId: string, id: string },
  { wall, version, models = {} }: { wall: unknown, version: unknown, models?: unknown },
  { by, at }: By,
): WallVersion & { wall?: Wall } {
  return db.transaction(
    () => {
      const site = siteRow(db, siteId)
      const row = wallRow(db, site.key, id)
      if (version !== row.version)
        throw apiError(409, 'stale', `${row.savedBy || 'Another user'} saved this wall after you opened it.`, {
          current: readWall(db, siteId, id),
        })
      const { catalogue, site: { demo = false } } = siteDocument(db, site)
      const withTheirs = withModels(catalogue, models)
      const before = wallOf(db, row)
      const wrong = faultsOfSave(wall, before, withTheirs)
      const faults = wrong.length > 0 || demo ? wrong : simulatedFaults(wall as Wall, before)
      if (faults.length > 0) throw validationError(faults)
      if ((wall as Wall).id !== id)
        throw validationError([{ path: '$.id', message: `must be “${id}”, as in the address` }])
      const after = withNumbers(withAuthors(wall as Wall, before, by))
      if (withTheirs !== catalogue) saveCatalogue(db, site, withTheirs)
      const saved: WallVersion = { version: row.version + 1, savedAt: at, savedBy: by }
      const document = JSON.stringify(after)
      updateWall(db).run({ key: row.key, ...columnsOf(after), ...saved, document })
      if (!same(modelsUsedBy(before), modelsUsedBy(after))) saveModelsUsed(db, row.key, after)
      parsedOnce(db, `wall ${row.key}`, document, after)
      return after === wall ? saved : { ...saved, wall: after }
    },
    { behavior: 'immediate' },
  )
}

/** Keeps a wall of a site that has none of its id, and what was issued of it. */
export function insertWall(
  db: Database,
  site: number,
  { revisions = [], ...wall }: Wall,
  by: string,
  at: string,
): void {
  for (const revision of revisions) keepRevision(db, site, wall.id, revision)
  const { lastInsertRowid } = db
    .insert(walls)
    .values({ site, id: wall.id, ...columnsOf(wall), savedAt: at, savedBy: by, document: JSON.stringify(wall) })
    .run()
  saveModelsUsed(db, Number(lastInsertRowid), wall)
}

/** Keeps a new wall. @throws 409 where the site has one of this id, 422 with every fault */
export function createWall(db: Database, siteId: string, wall: unknown, by: string, at: string): string {
  return db.transaction(() => {
    const site = siteRow(db, siteId)
    const faults = faultsOfSave(wall, undefined, siteDocument(db, site).catalogue)
    if (faults.length > 0) throw validationError(faults)
    const { id } = wall as Wall
    if (!PLAIN_ID.test(id))
      throw validationError([
        { path: '$.id', message: `must have only lower-case letters, digits and hyphens, not “${id}”` },
      ])
    if (everyWall(db).all({ site: site.key }).length >= LIMITS.walls)
      throw validationError([
        { path: '$.id', message: `exceeds the maximum number of walls for a site, ${LIMITS.walls}` },
      ])
    if (keyOfWall(db).get({ site: site.key, id }))
      throw apiError(409, 'wall-exists', `This site already has a wall “${id}”.`)
    insertWall(db, site.key, wall as Wall, by, at)
    return id
  }, { behavior: 'immediate' })
}
