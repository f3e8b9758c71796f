import type { Site } from '../../job'
import { words, type Figure, type Text } from '../../units'
import { loopIn } from './chains'
import { DAY, minuteOf, momentOf, type Minute } from '../clock'
import { KINDS, SKILL_WORDS, WORK_KINDS, type WorkKind } from './kinds'
import { lengthOf, pieceMinutes, type PieceMinutes } from './lengths'
import { canDo, type Crew, type Place, type PlacedTask, type Programme, type Task } from '../programme'
import type { Settings } from '../settings'
import { openTimes } from '../windows'
import type { Sample, Work } from './workload'

/** A site as the programme needs it. */
export type SiteOfProgramme = Pick<Site, 'id' | 'name' | 'zone' | 'windows' | 'noise' | 'closed'>
/** A wall as the programme needs it; `work` is absent while its plan is being calculated. */
export interface WallOfProgramme {
  site: string
  id: string
  name: string
  work?: Work[]
  stops: number
  issued: boolean
}

/** What is known of a task beside what a schedule needs. */
export interface TaskInfo {
  id: string
  site: string
  siteName: string
  wall: string
  wallName: string
  kind: WorkKind
  work: Work
  length: Figure
}

/** A programme with what it was made of, and what kept something from being planned as it was put in. */
export interface ProgrammeMade {
  programme: Programme
  info: Map<string, TaskInfo>
  pieces: PieceMinutes[]
  cautions: Text[]
}

/** What a programme is made of. */
export interface ProgrammeInput {
  settings: Settings
  sites: SiteOfProgramme[]
  walls: WallOfProgramme[]
  samples: Sample[]
  now: Minute
  /**
   * What was published and is under way now: it is taken to be on time until its end, and what is then not recorded is
   * planned anew.
   */
  underWay?: Pick<PlacedTask, 'task' | 'crew' | 'spans'>[]
  /** What people were reported: it stays where that costs little. */
  before?: Programme['before']
}

export const taskId = (site: string, wall: string, kind: WorkKind): string => `${site}/${wall}/${kind}`

/** Whether a task, by its id, is of one of some sites. */
export const isTaskOfSites = (task: string, sites: string[]): boolean => sites.some(site => task.startsWith(`${site}/`))

/** The schedule looks this many days ahead; a task that does not fit by then is not scheduled. */
const AHEAD = 365
const TOGETHER = 15

/**
 * The predecessors of a kind of work among the kinds that a wall has, with their waits; where one is missing, its own
 * predecessors count.
 */
function before(kind: WorkKind, has: Set<WorkKind>): Map<WorkKind, number> {
  const found = new Map<WorkKind, number>()
  for (const [earlier, wait] of Object.entries(KINDS[kind].after) as [WorkKind, number][]) {
    for (const [each, since] of has.has(earlier) ? [[earlier, wait] as const] : before(earlier, has))
      found.set(each, Math.max(found.get(each) ?? 0, since))
  }
  return found
}

/** What a schedule assumes of a wall that is not so yet. */
function assumedOf({ stops, issued }: WallOfProgramme, name: Text): Text[] {
  if (stops > 0)
    return [words`${name} has ${stops === 1 ? 'a stop' : 'stops'}: do not drill or hang there until resolved. The
      schedule assumes that.`]
  return issued ? [] : [words`${name} has no issued mark-out yet. The schedule assumes that it has.`]
}

/** Why a crew is given nothing at all. */
function whyIdle({ name, people, hours, skills }: Settings['crews'][number]): Text[] {
  if (people.length === 0) return [words`${name} has no people, so it is given no tasks.`]
  if (skills.length === 0) return [words`${name} has no skills, so it is given no tasks.`]
  return hours.every(({ days }) => days.length === 0) ? [words`${name} has no working days.`] : []
}

/** Cautions about crews, hours and sites that leave little or nothing to schedule. */
function cautionsOf(
  settings: Settings,
  sites: SiteOfProgramme[],
  walls: WallOfProgramme[],
  { crews, places, tasks }: { crews: Crew[], places: Place[], tasks: Task[] },
): Text[] {
  const skills = [...new Set(tasks.map(({ skill }) => skill))].filter(
    skill => !crews.some(crew => crew.people.length > 0 && crew.skills.includes(skill)),
  )
  const twice = [...new Set(crews.flatMap(({ people }) => people))]
    .map(person => crews.filter(crew => crew.people.includes(person)))
    .filter(({ length }) => length > 1)
  const waits = new Set(places.filter(({ id }) => tasks.some(({ site }) => site === id)).map(({ id }) => id))
  const nameOf = ({ site, name }: WallOfProgramme) =>
    words`${name}, ${sites.find(({ id }) => id === site)?.name ?? site},`
  const open = walls.filter(wall => tasks.some(({ site, wall: id }) => site === wall.site && id === wall.id))
  return [
    ...open.flatMap(wall => assumedOf(wall, nameOf(wall))),
    ...(crews.length === 0 ? [words`There is no crew yet: add a crew before planning.`] : []),
    ...settings.crews.flatMap(whyIdle),
    ...sites.flatMap(({ id, name, windows, noise }) =>
      !waits.has(id)
        ? []
        : [
            ...(windows && windows.every(({ days }) => days.length === 0)
              ? [words`${name} never opens: its access hours have no days.`]
              : []),
            ...(noise && noise.every(({ days }) => days.length === 0)
              ? [words`Noisy work is never allowed at ${name}: nothing can be drilled there.`]
              : []),
          ],
    ),
    ...places.flatMap(({ id, name, open }) =>
      waits.has(id)
      && open.length > 0
      && crews.length > 0
      && !crews.some(crew => crew.times.some(time => open.some(({ from, to }) => from < time.to && time.from < to)))
        ? [words`No crew works while ${name} is open.`]
        : [],
    ),
    ...skills.map(
      skill =>
        words`No crew has the skill ${SKILL_WORDS[skill]}: tasks that require it, and the tasks after them, are not
          scheduled.`,
    ),
    ...twice.map(
      ([one, other]) => words`${one!.name} and ${other!.name} share people: they are never scheduled at the same time.`,
    ),
    ...(tasks.some(task => task.aid) && settings.aids === 0
      ? [words`Some screens are too heavy to hang without a lifting aid, and the firm has none.`]
      : []),
  ]
}

/**
 * The programme of a firm: a task for each kind of work that is left at each wall, as long as its pieces take; the
 * crews, their hours less the days on which they are off; the sites' windows less the days on which they are closed,
 * and
 * days that were lost. Links that were put in manually and make a loop are left out, the newest first, and told.
 */
export function programmeOf({
  settings,
  sites,
  walls,
  samples,
  now,
  underWay = [],
  before: told,
}: ProgrammeInput): ProgrammeMade {
  const cautions: Text[] = []
  const own = new Map(settings.minutes?.map(({ sort, minutes }) => [sort, minutes]))
  const from = TOGETHER * Math.ceil(now / TOGETHER)
  const to = from + AHEAD * DAY
  const siteOf = new Map(sites.map(site => [site.id, site]))
  /** What is left of what is under way, min; of what is over before anything can be planned, nothing. */
  const goesOn = new Map(
    underWay.map(({ task, crew, spans }) => [
      task,
      { task, crew, minutes: spans.reduce((sum, span) => sum + Math.max(0, span.to - Math.max(from, span.from)), 0) },
    ]),
  )
  const left = new Set([
    ...(settings.leftOut ?? []),
    ...[...goesOn.values()].filter(({ minutes }) => minutes === 0).map(({ task }) => task),
  ])
  const pieces = new Map<string, PieceMinutes>()
  const info = new Map<string, TaskInfo>()
  const tasks = walls
    .flatMap(({ site, id: wall, name, work = [] }): Task[] => {
      const open = work.filter(each => each.done < each.pieces && !left.has(taskId(site, wall, each.kind)))
      const has = new Set(open.map(({ kind }) => kind))
      return open.map((each): Task => {
        const { kind, sort, people, aid } = each
        if (!pieces.has(sort)) pieces.set(sort, pieceMinutes(sort, kind, samples, own))
        const id = taskId(site, wall, kind)
        const length = lengthOf(each, pieces.get(sort)!)
        info.set(id, {
          id,
          site,
          siteName: siteOf.get(site)?.name ?? site,
          wall,
          wallName: name,
          kind,
          work: each,
          length,
        })
        const { title, skill, noisy = false, whole = false } = KINDS[kind]
        return {
          id,
          site,
          wall,
          title: words`${title}, ${name}`,
          minutes: length.value,
          people,
          skill,
          noisy,
          aid,
          splits: !whole,
          after: [...before(kind, has)].map(([earlier, wait]) => ({ task: taskId(site, wall, earlier), wait })),
        }
      })
    })
    .sort((a, b) => WORK_KINDS.indexOf(info.get(a.id)!.kind) - WORK_KINDS.indexOf(info.get(b.id)!.kind))

  const byId = new Map(tasks.map(task => [task.id, task]))
  const begun = [...goesOn.values()].filter(({ task, minutes }) => byId.has(task) && minutes > 0)
  for (const { task: id, minutes } of begun) {
    const task = byId.get(id)!
    task.minutes = Math.min(task.minutes, minutes)
    // It has begun, so that whatever comes before it is over, recorded or not.
    task.after = []
  }
  for (const { before: first, after: second, wait } of settings.links ?? []) {
    const task = byId.get(second)
    if (!task || !byId.has(first)) continue
    task.after.push({ task: first, wait })
    const loop = loopIn(tasks)
    if (!loop) continue
    task.after.pop()
    cautions.push(
      words`The link “${byId.get(first)!.title}” before “${task.title}” is ignored: the tasks would wait for each other
        (${loop.map(id => KINDS[info.get(id)!.kind].title.toLowerCase()).join(', ')}).`,
    )
  }

  const lostAt = (which: 'crew' | 'site', id: string) =>
    (settings.lost ?? [])
      .filter(lost => lost[which] === id || (lost.crew === undefined && lost.site === undefined))
      .map(({ day }) => day)
  const always = [{ from, to }]
  const crews = settings.crews.map(({ id, name, people, skills, hours, off = [] }): Crew => ({
    id,
    name,
    people,
    skills,
    times: openTimes(hours, settings.zone, from, to, [...off.map(({ day }) => day), ...lostAt('crew', id)]),
  }))
  const places = sites.map(({ id, name, zone = settings.zone, windows, noise, closed = [] }): Place => {
    const shut = [...closed.map(({ day }) => day), ...lostAt('site', id)]
    const open = windows
      ? openTimes(windows, zone, from, to, shut)
      : shut.length === 0
        ? always
        : openTimes(
            [{ days: ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'], from: '00:00', to: '23:59' }],
            zone,
            from,
            to,
            shut,
          )
    return { id, name, open, loud: noise ? openTimes(noise, zone, from, to, shut) : open }
  })
  const ways = new Map(
    (settings.travel ?? []).flatMap(
      ({ from, to, minutes }) =>
        [
          [`${from} ${to}`, minutes],
          [`${to} ${from}`, minutes],
        ] as const,
    ),
  )
  const crewOf = new Map(crews.map(crew => [crew.id, crew]))
  const programme: Programme = {
    from,
    to,
    tasks,
    crews,
    places,
    aids: settings.aids,
    ...(told && { before: told }),
    fixed: [
      ...begun
        .filter(({ crew }) => crewOf.has(crew))
        .map(({ task, crew }) => ({ task, crew, start: from, begun: true })),
      ...(settings.fixed ?? [])
        .map(({ task, crew, start }) => ({ task, crew, start: minuteOf(start) }))
        .filter(({ task }) => byId.has(task) && !begun.some(each => each.task === task)),
    ],
    travel: (a, b) => (a === b ? 0 : (ways.get(`${a} ${b}`) ?? settings.betweenSites)),
  }
  const unable = programme.fixed.filter(
    ({ task, crew }) => crewOf.has(crew) && !canDo(crewOf.get(crew)!, byId.get(task)!),
  )
  return {
    programme,
    info,
    pieces: [...pieces.values()],
    cautions: [
      ...cautionsOf(settings, sites, walls, { crews, places, tasks }),
      ...cautions,
      ...unable.map(
        ({ task, crew }) =>
          words`${crewOf.get(crew)!.name} has “${byId.get(task)!.title}” pinned to it, but not the people or skill for
            it.`,
      ),
    ],
  }
}

/**
 * A schedule's spans as they are published: what is done where, by whom, from when to when, and what a piece of it is
 * planned to take, min.
 */
export function stretchesOf(placed: PlacedTask[], info: Map<string, TaskInfo>) {
  return placed.flatMap(({ task, crew, spans }) => {
    const { site, wall, wallName, kind, work, length } = info.get(task)!
    return spans.map(({ from, to }) => ({
      site,
      wall,
      task,
      crew,
      kind,
      minutes: length.value / (work.pieces - work.done),
      title: `${KINDS[kind].title}: ${wallName}`,
      startsAt: momentOf(from),
      endsAt: momentOf(to),
    }))
  })
}
