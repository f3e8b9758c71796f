import type { StateOfWork, StateShown, WallLine } from '../../core/api/walls'
import { createHash } from 'node:crypto'
import { asc, eq } from 'drizzle-orm'
import type { Stage } from '../../core/finding'
import type { KeptDrawing } from '../../core/plan/drawn'
import type { StageState } from '../../core/plan/stageStates'
import type { WallState } from '../../core/programme/wallState'
import { PROGRAM } from '../../core/program'
import type { Database } from '../database/perDatabase'
import { sites, walls, wallStates } from '../database/schema'
import { readFirm } from './firm'
import { lastKeyOfWall } from './logRows'
import { siteRow } from './siteRows'
import { wallRow } from './wallRows'
import { wallJobPages } from './walls'

const digest = (text: string) => createHash('sha1').update(text).digest('base64url')

/** What the state of each wall is calculated of, by the wall's key. */
function bases(db: Database): Map<number, string> {
  const firm = readFirm(db).version
  const siteOf = new Map(
    db
      .select({ key: sites.key, document: sites.document })
      .from(sites)
      .all()
      .map(({ key, document }) => [key, digest(document)]),
  )
  return new Map(
    db
      .select({ key: walls.key, site: walls.site, id: walls.id, version: walls.version })
      .from(walls)
      .all()
      .map(({ key, site, id, version }) => [
        key,
        `${PROGRAM} ${version} ${lastKeyOfWall(db, site, id)} ${siteOf.get(site)} ${firm}`,
      ]),
  )
}

/**
 * Every wall with its state as it was calculated last.
 *
 * @param sees of a site, which of its walls are seen; undefined where it is not seen at all
 */
export function listWalls(
  db: Database,
  sees: (site: { key: number, id: string }) => ((wall: string) => boolean) | undefined,
  wants: { work: boolean } = { work: false },
): WallLine[] {
  const now = bases(db)
  const seenOf = new Map(
    db
      .select({ key: sites.key, id: sites.id })
      .from(sites)
      .all()
      .map(site => [site.key, sees(site)]),
  )
  return db
    .select({
      key: walls.key,
      siteKey: walls.site,
      site: sites.id,
      siteName: sites.name,
      units: sites.units,
      id: walls.id,
      name: walls.name,
      width: walls.width,
      height: walls.height,
      savedAt: walls.savedAt,
      savedBy: walls.savedBy,
      basis: wallStates.basis,
      state: wallStates.state,
      ...(wants.work && { work: wallStates.work }),
    })
    .from(walls)
    .innerJoin(sites, eq(sites.key, walls.site))
    .leftJoin(wallStates, eq(wallStates.wall, walls.key))
    .orderBy(asc(sites.name), asc(walls.key))
    .all()
    .filter(({ siteKey, id }) => seenOf.get(siteKey)?.(id))
    .map(
      ({
        key,
        siteKey: _,
        basis,
        state,
        work,
        ...line
      }: { key: number, siteKey: number, basis: string | null, state: string | null, work?: string | null } & Omit<
        WallLine,
        'state' | 'work' | 'stale'
      >) => ({
        ...line,
        ...(state !== null && { state: JSON.parse(state) as StateShown }),
        ...(typeof work === 'string' && { work: JSON.parse(work) as StateOfWork }),
        stale: basis !== now.get(key),
      }),
    )
}

/** Walls whose state is to be calculated again: none was, or something of them has changed since. */
function staleWalls(db: Database): { key: number, site: string, id: string, version: number, basis: string }[] {
  const now = bases(db)
  return db.select({ key: walls.key, site: sites.id, id: walls.id, version: walls.version, basis: wallStates.basis })
    .from(walls).innerJoin(sites, eq(sites.key, walls.site)).leftJoin(wallStates, eq(wallStates.wall, walls.key)).all()
    .flatMap(({ basis, ...wall }) => basis === now.get(wall.key) ? [] : [{ ...wall, basis: now.get(wall.key)! }])
}

/** States that are being calculated, by the firm's database: later callers wait for the same. */
const atWork = new WeakMap<object, Promise<void>>()

/** A state as a thread has found it: a wall that cannot be planned has no stages and no drawing. */
interface StateFound extends Omit<WallState, 'stages' | 'drawn'> {
  stages: Partial<Record<Stage, StageState>>
  drawn?: WallState['drawn']
}

/**
 * What is put in the place of a state that cannot be calculated: the wall is shown, and it is tried again once it has
 * changed.
 */
const FAILED: StateFound = {
  stages: {},
  stops: [{ stage: 'survey', message: ['The plan of this wall cannot be calculated: open the wall to see why.'] }],
  cautions: 0, screens: [], work: [], needed: [], used: [], kit: [], samples: [],
  lessons: { holes: [], truing: [], stops: [] },
}

/**
 * Works out the states of all walls that have changed, one after the other, so that the threads stay free for those who
 * wait for an answer.
 *
 * @param workOut works a wall's state out of its job as text by pages
 */
export function refreshStates(db: Database, workOut: (job: Iterable<string>) => Promise<WallState>): Promise<void> {
  const known = atWork.get(db)
  if (known) return known
  const started = (async () => {
    for (const { key, site, id, version, basis } of staleWalls(db)) {
      const found: StateFound = await workOut(wallJobPages(db, site, id)).catch(() => FAILED)
      const { work, needed, used, kit, samples, lessons, drawn, ...state } = found
      const row = {
        basis, state: JSON.stringify(state), work: JSON.stringify({ work, needed, used, kit, samples, lessons }),
        drawn: drawn ? JSON.stringify({ program: PROGRAM, version, plan: drawn } satisfies KeptDrawing) : null,
      }
      // Anyone who removed the wall meanwhile has removed what is known of it.
      if (db.select({ key: walls.key }).from(walls).where(eq(walls.key, key)).get())
        db.insert(wallStates)
          .values({ wall: key, ...row })
          .onConflictDoUpdate({ target: wallStates.wall, set: row })
          .run()
    }
  })().finally(() => atWork.delete(db))
  atWork.set(db, started)
  return started
}

/**
 * The drawing of a wall by its last known plan, as JSON, or `null` where none is known or another version of the
 * program made it. Whether it still holds is told by its version of the wall.
 *
 * @throws 404
 */
export function readDrawnText(db: Database, siteId: string, id: string): string {
  const { key } = wallRow(db, siteRow(db, siteId).key, id)
  const kept = db.select({ basis: wallStates.basis, drawn: wallStates.drawn })
    .from(wallStates).where(eq(wallStates.wall, key)).get()
  return kept?.basis.startsWith(`${PROGRAM} `) ? kept.drawn ?? 'null' : 'null'
}
