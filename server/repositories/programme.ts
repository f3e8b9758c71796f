import type { ProgrammeState, PublishedStretch } from '../../core/api/programme'
import { and, asc, eq, gt, gte, lt } from 'drizzle-orm'
import {
  isTaskOfSites, momentOf, minuteOf, NO_SETTINGS, settingsFaults, visitsAtOnce, visitsOf, WORK_KINDS,
  type CrewSettings, type Settings, type Stretch,
} from '../../core/programme'
import { schemaFaults, type Fault } from '../../core/job'
import { group, list, moment, must, name, notLess, oneOf } from '../../core/job/fields'
import { perDatabase, type Database } from '../database/perDatabase'
import { programme, sites, visits, walls } from '../database/schema'
import { apiError, validationError } from '../utils/apiError'
import { keepPlannedMinutes } from './plannedMinutes'
import { listPlaces } from './sites'

const ONLY = 1
const only = perDatabase(db => db.select().from(programme).where(eq(programme.key, ONLY)).prepare())

export function readProgramme(db: Database): ProgrammeState {
  const row = only(db).get()
  if (!row) return { settings: NO_SETTINGS, version: 0, published: 0 }
  return {
    settings: JSON.parse(row.settings) as Settings,
    version: row.version,
    published: row.published,
    ...(row.publishedAt !== null && { publishedAt: row.publishedAt }),
    ...(row.publishedBy !== null && { publishedBy: row.publishedBy }),
  }
}

/** The programme as a person sees it: one who does not plan it learns nothing of sites that are not his. */
export function seenProgramme(state: ProgrammeState, sites: string[], all: boolean): ProgrammeState {
  if (all) return state
  const { travel, fixed, links, lost, leftOut, ...rest } = state.settings
  const has = (site: string) => sites.includes(site)
  const isHis = (task: string) => isTaskOfSites(task, sites)
  return { ...state, settings: {
    ...rest,
    ...travel && { travel: travel.filter(({ from, to }) => has(from) && has(to)) },
    ...fixed && { fixed: fixed.filter(({ task }) => isHis(task)) },
    ...links && { links: links.filter(({ before, after }) => isHis(before) && isHis(after)) },
    ...lost && { lost: lost.filter(({ site }) => site === undefined || has(site)) },
    ...leftOut && { leftOut: leftOut.filter(isHis) },
  } }
}

/**
 * Puts the programme's settings in the place of the version that they were made from.
 *
 * @throws 409 with the state that the server has now, where a person changed it in between; 422 with every fault
 */
export function saveSettings(db: Database, settings: unknown, version: unknown): ProgrammeState {
  return db.transaction(() => {
    const now = readProgramme(db)
    if (version !== now.version)
      throw apiError(409, 'stale', 'Another user changed the programme after you opened it.', { current: now })
    const faults = settingsFaults(settings)
    if (faults.length > 0) throw validationError(faults)
    const next = { version: now.version + 1, settings: JSON.stringify(settings) }
    db.insert(programme).values({ key: ONLY, ...next }).onConflictDoUpdate({ target: programme.key, set: next }).run()
    return readProgramme(db)
  }, { behavior: 'immediate' })
}

/**
 * So soon after now a stretch that goes on with what is under way begins, ms: schedules begin at a quarter of an hour.
 */
const SOON = 16 * 60_000

/**
 * What is under way at a moment ends where the new schedule has it end, or where it has the crew begin something else.
 *
 * @returns the stretches that are no more than its going on
 */
function goingOn(db: Database, stretches: Proposed[], at: string): Set<Proposed> {
  const found = new Set<Proposed>()
  for (const { key, task, crew, endsAt } of db
    .select()
    .from(visits)
    .where(and(lt(visits.startsAt, at), gt(visits.endsAt, at)))
    .all()) {
    const goesOn = stretches.find(
      each =>
        each.task === task
        && each.crew === crew
        && each.startsAt >= at
        && Date.parse(each.startsAt) - Date.parse(at) <= SOON,
    )
    if (goesOn) found.add(goesOn)
    const next = stretches
      .filter(each => each.crew === crew && each.startsAt >= at)
      .map(({ startsAt }) => startsAt)
      .sort()[0]
    const end = goesOn?.endsAt ?? (next !== undefined && next < endsAt ? next : endsAt)
    if (end !== endsAt) db.update(visits).set({ endsAt: end }).where(eq(visits.key, key)).run()
  }
  return found
}

const stretchesSchema = list(
  group({
    site: name(),
    wall: name(),
    task: name(),
    crew: name(),
    kind: must(oneOf(WORK_KINDS)),
    minutes: must(notLess('min').moreThan(0, 'must be more than 0')),
    title: name(),
    startsAt: must(moment()),
    endsAt: must(moment()),
  }),
  20_000,
)
type Proposed = Pick<PublishedStretch, 'site' | 'wall' | 'task' | 'crew' | 'kind' | 'title' | 'startsAt' | 'endsAt'>
/** A stretch as it is sent, with what a piece of its work is planned to take, min. */
type Sent = Proposed & { minutes: number }

/** A stretch without what is not published of it, its times in UTC. */
function withUtc({ minutes: _, startsAt, endsAt, ...rest }: Sent): Proposed {
  const utc = (moment: string) => new Date(moment).toISOString()
  return { ...rest, startsAt: utc(startsAt), endsAt: utc(endsAt) }
}

/** The keys of every site and wall, by the ids of both. */
const keysOfWalls = (db: Database) => new Map(
  db
    .select({ site: sites.id, siteKey: sites.key, wall: walls.id, key: walls.key })
    .from(walls)
    .innerJoin(sites, eq(sites.key, walls.site))
    .all()
    .map(({ site, siteKey, wall, key }) => [`${site}/${wall}`, { site: siteKey, wall: key }]),
)

const asStretch = ({ startsAt, endsAt, ...rest }: Proposed): Stretch =>
  ({ ...rest, from: minuteOf(startsAt), to: minuteOf(endsAt) })

/** What is wrong with stretches that are to be published: each by itself, and who would be at two places at once. */
function faultsOfStretches(
  stretches: Proposed[], places: ReadonlyMap<string, unknown>, crews: ReadonlyMap<string, CrewSettings>, zone: string,
): Fault[] {
  const wrong = stretches.flatMap(({ site, wall, crew, startsAt, endsAt }, n) => [
    ...(places.has(`${site}/${wall}`)
      ? []
      : [{ path: `$[${n}]`, message: `is for a wall that does not exist: ${site}/${wall}` }]),
    ...(crews.has(crew) ? [] : [{ path: `$[${n}].crew`, message: `is not an existing crew: ${crew}` }]),
    ...(startsAt < endsAt ? [] : [{ path: `$[${n}].endsAt`, message: 'must be after the start' }]),
  ])
  const visits = visitsOf(stretches.map(asStretch), () => zone)
  const twice = visitsAtOnce(visits, crew => crews.get(crew)?.people ?? [])
  return [...wrong, ...twice.map(([one, other]) => ({
    path: '$',
    message: `puts a person at ${one.site} and at ${other.site} at the same time, from ${momentOf(other.from)}`,
  }))]
}

/**
 * Publishes a schedule: from now on it is what feeds, day sheets and pick lists go by. What began before stays as it
 * was published; everything later is as it is given.
 *
 * @throws 409 where the settings it was made from are no longer those that hold; 422 where a stretch is of no wall or
 *   crew, ends before it begins, or a person would be at two places at once
 */
export function publish(db: Database, proposed: unknown, version: unknown, by: string, at: string): ProgrammeState {
  return db.transaction(() => {
    const now = readProgramme(db)
    if (version !== now.version) throw apiError(409, 'stale', 'Another user changed the programme after this schedule '
      + 'was calculated. Review it, then publish.', { current: now })
    const faults = schemaFaults(stretchesSchema, proposed, '$')
    if (faults.length > 0) throw validationError(faults)
    const stretches = (proposed as Sent[]).map(withUtc)
    const crews = new Map(now.settings.crews.map(crew => [crew.id, crew]))
    const places = keysOfWalls(db)
    const wrong = faultsOfStretches(stretches, places, crews, now.settings.zone)
    if (wrong.length > 0) throw validationError(wrong.slice(0, 100))
    db.delete(visits).where(gte(visits.startsAt, at)).run()
    const published = now.published + 1
    const goOn = goingOn(db, stretches, at)
    const rows = stretches
      .filter(stretch => stretch.startsAt >= at && !goOn.has(stretch))
      .map(stretch => ({
        ...stretch,
        site: places.get(`${stretch.site}/${stretch.wall}`)!.site,
        crewName: crews.get(stretch.crew)!.name,
        people: crews.get(stretch.crew)!.people,
        published,
      }))
    for (let n = 0; n < rows.length; n += 500) db.insert(visits).values(rows.slice(n, n + 500)).run()
    keepPlannedMinutes(
      db,
      (proposed as Sent[]).map(({ site, wall, kind, minutes }) => ({
        wall: places.get(`${site}/${wall}`)!.wall,
        kind,
        minutes,
      })),
      at,
    )
    const next = { published, publishedAt: at, publishedBy: by }
    db.insert(programme)
      .values({ key: ONLY, settings: JSON.stringify(now.settings), version: now.version, ...next })
      .onConflictDoUpdate({ target: programme.key, set: next })
      .run()
    return readProgramme(db)
  }, { behavior: 'immediate' })
}

/** What was published between two moments, in order of time; each with the zone of its site's clocks. */
export function publishedBetween(db: Database, from: string, to: string): PublishedStretch[] {
  const { zone } = readProgramme(db).settings
  const zoneOf = new Map(listPlaces(db).map(site => [site.id, site.zone ?? zone]))
  const rows = db
    .select({
      site: sites.id,
      wall: visits.wall,
      task: visits.task,
      crew: visits.crew,
      crewName: visits.crewName,
      people: visits.people,
      kind: visits.kind,
      title: visits.title,
      startsAt: visits.startsAt,
      endsAt: visits.endsAt,
      published: visits.published,
    })
    .from(visits)
    .innerJoin(sites, eq(sites.key, visits.site))
    .where(and(gte(visits.endsAt, from), lt(visits.startsAt, to)))
    .orderBy(asc(visits.startsAt), asc(visits.key))
    .all() as Omit<PublishedStretch, 'zone'>[]
  return rows.map(row => ({ ...row, zone: zoneOf.get(row.site) ?? zone }))
}
