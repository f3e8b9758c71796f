import { recordOf } from '../../close/record'
import { holeSteps, runOf, type RunStep } from '../../hang'
import { arraysOf, type Catalogue, type Rules, type Wall } from '../../job'
import { ofKind, standing, stepName, stepOf, type AsBuilt, type LogEntry, type RunStepKind } from '../../log'
import type { WallPlan } from '../../plan'
import type { Standing } from '../../plan/stageStates'
import { KINDS, WORK_KINDS, type WorkKind } from './kinds'
import { taskStep } from './taskStep'

/** One kind of work at a wall: how many pieces it has, how many of them are done, and what the wall asks for beside. */
export interface Work {
  kind: WorkKind
  /** What its minutes are learned by: its kind, and what is drilled into. */
  sort: string
  pieces: number
  done: number
  people: number
  aid: boolean
  /** What the pieces that are left take by the plan itself, where that works it out, min. */
  planned?: number
}

/** What minutes are learned by: drilling takes other times in other walls. */
export const sortOf = (kind: WorkKind, structure: Wall['structure']['kind']): string =>
  kind === 'drill' ? `drill ${structure}` : kind

/** What the workload of a wall is calculated of. */
export interface WorkloadOf {
  wall: Wall
  plan: WallPlan
  built: AsBuilt
  log: LogEntry[]
  now: Standing
  catalogue: Catalogue
  rules: Rules
}

/** The run of work of a wall as it is planned now. */
export const runOfWall = ({ wall, plan: { arrays, wiring, hanging }, catalogue, rules }: WorkloadOf): RunStep[] =>
  runOf({ wall, arrays, wiring, hanging, catalogue, rules })

/** How many pieces a kind of work has, how many are done, and what it asks for beside. */
type Amount = Pick<Work, 'pieces' | 'done'> & Partial<Pick<Work, 'people' | 'aid' | 'planned'>>

/** What the amounts of work are counted by. */
interface Counted extends WorkloadOf {
  screens: (WallPlan['arrays'][number]['positions'][number] & { array: string })[]
  isDone: (kind: RunStepKind, id: string) => boolean
}

/** Boxes that are cut into the wall. */
const cutBoxes = ({ wiring }: WallPlan): number =>
  wiring.boxes.filter(({ held, kind, cutout }) => held && kind !== 'floor' && cutout.height > 0).length

/** Work before anything is drilled: survey, isolating and marking out. */
function workBefore({ wall, plan, built, now, rules, screens, isDone }: Counted) {
  const { evidence = [], structure: { members = [] } } = wall
  const isSurveyed = evidence.length > 0 || members.length > 0 || (screens.length > 0 && now.issued)
  const isHardWired = (rules.power ?? 'electrician') === 'electrician'
    && plan.wiring.boxes.some(({ kind }) => kind === 'power' || kind === 'floor')
  return {
    survey: { pieces: Math.max(1, Math.ceil(wall.width / 1_000)), done: isSurveyed ? Infinity : 0 },
    isolate: { pieces: isHardWired ? 1 : 0, done: isDone('check', 'power') ? 1 : 0 },
    mark: { pieces: plan.marking.marks.length, done: built.holes.length > 0 ? Infinity : 0 },
    inspect: { pieces: isHardWired ? 1 : 0, done: 0 },
  } satisfies Partial<Record<WorkKind, Amount>>
}

const minutesOf = (routes: { minutes: number }[]): number => routes.reduce((sum, { minutes }) => sum + minutes, 0)
const personMinutesOf = (routes: { minutes: number, people: number }[]): number =>
  routes.reduce((sum, { minutes, people }) => sum + minutes * people, 0)

/** Work on cables: boxes, pulling, patching and painting. */
function workOnCables({ wall, plan, log, isDone }: Counted) {
  const { routes, works: { patches, minutes: shared } } = plan.wiring
  const through = new Set(ofKind(standing(log, wall), 'fished')
    .filter(({ result }) => result === 'through').map(({ route }) => route))
  const pulled = routes.filter(({ id }) => isDone('cable', id) || through.has(id))
  const left = routes.filter(route => !pulled.includes(route))
  const cut = cutBoxes(plan)
  const people = Math.max(1, ...routes.map(each => each.people))
  return {
    boxes: { pieces: cut, done: isDone('cable', 'boxes') ? cut : 0 },
    pull: {
      pieces: routes.length,
      done: pulled.length,
      people,
      // What several routes share is made once; where two come, each does a route that takes one person.
      planned: routes.length > 0 ? shared / minutesOf(routes) * personMinutesOf(left) / people : 0,
    },
    patch: { pieces: patches, done: isDone('cable', 'patch') ? patches : 0 },
    paint: { pieces: patches, done: 0 },
  } satisfies Partial<Record<WorkKind, Amount>>
}

/** Work on the screens: drilling, plates, hanging, truing, testing and handing over. */
function workOnScreens(of: Counted) {
  const { wall, plan, built, log, now, screens, isDone } = of
  const record = recordOf(log, wall)
  const plates = screens.filter(({ plate }) => plate)
  const several = arraysOf(wall).filter(({ rows, columns }) => rows * columns > 1).map(({ id }) => id)
  const lifts = runOfWall(of).filter(({ kind }) => kind === 'hang')
  const hung = screens.filter(({ id }) => built.hung.includes(id))
  return {
    'drill': { pieces: holeSteps(plan.arrays).length, done: now.drilled },
    'plates': { pieces: plates.length, done: plates.filter(({ array }) => isDone('plates', array)).length },
    'hang': {
      pieces: screens.length,
      done: hung.length,
      people: Math.max(1, ...lifts.map(({ people = 1 }) => people)),
      aid: plan.hanging.some(({ steps }) => steps.some(({ lifting }) => lifting.aid)),
    },
    'true': {
      pieces: screens.filter(({ array }) => several.includes(array)).length,
      done: now.trued && now.read ? Infinity : 0,
    },
    'test': { pieces: screens.length, done: screens.filter(({ array }) => record.tested.get(array)?.passed).length },
    'hand-over': { pieces: screens.length > 0 ? 1 : 0, done: now.signed ? 1 : 0 },
  } satisfies Partial<Record<WorkKind, Amount>>
}

/**
 * The work at a wall by its plan, and how much of it is done by its log. What comes late tells of what came before it:
 * a wall in which a hole is made was marked out, one whose screens all hang has its boxes and cables, and one that was
 * signed for is done.
 */
export function workloadOf(of: WorkloadOf): Work[] {
  const { wall, plan, built, log, now } = of
  const steps = new Set(built.steps.filter(({ done }) => done).map(({ step }) => step))
  const screens = plan.arrays.flatMap(({ id, positions }) => positions.map(position => ({ ...position, array: id })))
  const counted: Counted = { ...of, screens, isDone: (kind, id) => steps.has(stepName({ kind, id })) }
  const works: Record<WorkKind, Amount> = {
    ...workBefore(counted), ...workOnCables(counted), ...workOnScreens(counted),
  }
  const signed = recordOf(log, wall).signatures.length > 0
  const allHang = screens.length > 0 && built.hung.length >= screens.length
  const before = (kind: WorkKind, last: WorkKind) => WORK_KINDS.indexOf(kind) < WORK_KINDS.indexOf(last)
  const isOver = (kind: WorkKind) =>
    signed
    || steps.has(taskStep(kind))
    || (allHang && before(kind, 'hang'))
    || (now.drilled > 0 && before(kind, 'boxes'))
  return WORK_KINDS.filter(kind => works[kind].pieces > 0).map((kind): Work => {
    const { pieces, done, people = KINDS[kind].people, aid = false, planned = 0 } = works[kind]
    const left = isOver(kind) ? 0 : Math.max(0, pieces - done)
    const sort = sortOf(kind, wall.structure.kind)
    return { kind, sort, pieces, done: pieces - left, people, aid, ...(planned > 0 && left > 0 && { planned }) }
  })
}

/** What of its own work took how long, by the firm's log: so many pieces, so many minutes. */
export interface Sample {
  sort: string
  kind: WorkKind
  pieces: number
  minutes: number
  at: string
  /** What the plan itself counts for it by its parts, min, where it does. */
  byPlan?: number
}

/** Plates are set, checked and preset, and their brackets fitted: one kind of work in several steps. */
const PLATE_STEPS = new Set<RunStepKind>(['plates', 'level', 'preset', 'uprights'])
interface PlateWork { minutes: number, at: string, set: boolean, checked: boolean }

function withStep(sum: PlateWork | undefined, kind: RunStepKind, minutes: number, at: string): PlateWork {
  return {
    minutes: (sum?.minutes ?? 0) + minutes,
    at: sum && sum.at > at ? sum.at : at,
    set: sum?.set || kind === 'plates',
    checked: sum?.checked || kind === 'level',
  }
}

/** What the log of a wall tells of how long work takes: of steps whose minutes were noted. */
export function samplesOf(of: WorkloadOf): Sample[] {
  const { wall, plan, built } = of
  const run = new Map(runOfWall(of).map(step => [step.id, step]))
  const pieces = new Map(workloadOf(of).map(work => [work.kind, work.pieces]))
  const noted = built.steps.filter(
    (step): step is typeof step & { minutes: number } => step.done && (step.minutes ?? 0) > 0,
  )
  const sample = (kind: WorkKind, count: number, minutes: number, at: string): Sample[] =>
    count > 0 ? [{ sort: sortOf(kind, wall.structure.kind), kind, pieces: count, minutes, at }] : []
  const cut = cutBoxes(plan)
  const ofPlates = new Map<string, PlateWork>()
  const ofCable = (id: string, minutes: number, at: string): Sample[] => {
    if (id === 'boxes') return sample('boxes', cut, minutes, at)
    if (id === 'patch') return sample('patch', plan.wiring.works.patches, minutes, at)
    const route = plan.wiring.routes.find(each => each.id === id)
    return sample('pull', 1, minutes, at).map(one => ({ ...one, ...(route && { byPlan: route.minutes }) }))
  }
  const samples = noted.flatMap(({ step: id, minutes, at }): Sample[] => {
    const kind = WORK_KINDS.find(kind => id === taskStep(kind))
    if (kind) return sample(kind, pieces.get(kind) ?? 0, minutes, at)
    const [step, of = ''] = [run.get(id), stepOf(id)?.id]
    if (!step) return []
    if (step.kind === 'drill') return sample('drill', step.holes?.length ?? 0, minutes, at)
    if (step.kind === 'hang') return sample('hang', 1, minutes, at)
    if (step.kind === 'cable') return ofCable(of, minutes, at)
    if (PLATE_STEPS.has(step.kind) && plan.arrays.some(array => array.id === of))
      ofPlates.set(of, withStep(ofPlates.get(of), step.kind, minutes, at))
    return []
  })
  const platesOf = (array: string) =>
    plan.arrays.find(({ id }) => id === array)!.positions.filter(({ plate }) => plate).length
  return [...samples, ...[...ofPlates].flatMap(([array, { minutes, at, set, checked }]) =>
    set && checked ? sample('plates', platesOf(array), minutes, at) : [])]
}
