import { arrange } from '../arrange'
import { changeFrom } from '../hang'
import {
  basesOf, choiceName, structureKindOf, type Catalogue, type PlanContext, type Mount, type ScreenArray, type Wall,
} from '../job'
import { NOTHING_BUILT, withOverrides, type AsBuilt } from '../log'
import { sameUse, USUAL_CARRIERS, type ArrayPlan } from '../mount'
import { isFramed, pieceOf, sayPiece, type Survey } from '../survey'
import { words, type Text } from '../units'
import { fixMounted, layOut, mountLaidOut, platesOf } from './arrays'
import { pipeline, type Pipeline } from './pipeline'

/**
 * Another way to hold an array whose plates are not all held: what it is, what it costs, and the change that makes it.
 */
export interface Remedy {
  kind: 'shift' | 'slots' | 'rail' | 'board' | 'fastener' | 'mount'
  title: Text
  /** The arithmetic of it. */
  says: Text[]
  held: number
  total: number
  /** What is said against it all the same: the stops of Mount and Fix that it would have. */
  stops: Text[]
  change: Partial<ScreenArray>
  /**
   * How many plates and marks are then elsewhere than they were issued, and these by how much in all, mm; absent where
   * nothing was issued.
   */
  moves?: { plates: number, marks: number, sum: number }
}

/** How far an array may be shifted at most in search of a place that holds it, mm: past one usual spacing. */
const FARTHEST = 620
/** So many other mounts are told of at most. */
const MOUNTS = 3

/** What an array is tried out with beside the wall, which is surveyed once for all. */
type Context = PlanContext & { built: AsBuilt, surveyed: Survey }

interface Tried extends Pick<Remedy, 'moves'> {
  plan: ArrayPlan
  held: number
  use: number | undefined
  notKnown: boolean
  stops: Text[]
}

function movesOf(plan: ArrayPlan, { issued }: AsBuilt): Pick<Remedy, 'moves'> {
  if (!issued) return {}
  const { plates, marks, sum } = changeFrom(issued, [plan])
  return { moves: { plates: plates.length, marks: marks.length, sum } }
}

/** An array as it would be planned with a change. */
function tryOut(array: ScreenArray, change: Partial<ScreenArray>, wall: Wall, job: Context): Tried | undefined {
  const { surveyed, built } = job
  const laidOut = layOut({ ...array, ...change }, wall, surveyed, job, built)
  if (!laidOut) return undefined
  const mounted = mountLaidOut(laidOut, wall, surveyed, job, built)
  const { plan, findings } = fixMounted(mounted, [mounted], wall, surveyed, job)
  const uses = plan.positions.flatMap(({ loads = [] }) => loads.map(({ utilisation }) => utilisation))
  const known = uses.filter(use => use !== undefined)
  return {
    ...movesOf(plan, built),
    plan,
    held: plan.positions.filter(({ plate }) => plate?.held).length,
    use: known.length > 0 ? Math.max(...known) : undefined,
    notKnown: known.length < uses.length || uses.length === 0,
    stops: withOverrides(findings, built.overrides, wall)
      .filter(({ severity, stage }) => severity === 'stop' && (stage === 'mount' || stage === 'fix'))
      .map(({ message }) => message),
  }
}

const percent = (share: number) => `${Math.round(100 * share)} %`
const useText = ({ use, notKnown }: Tried): Text =>
  use === undefined || notKnown
    ? words`The utilisation of its fasteners is not known.`
    : words`Its fasteners have a utilisation of ${percent(use)}.`
const widest = ({ strips }: ArrayPlan) => strips.map(({ rect }) => rect).reduce((a, b) => b.width > a.width ? b : a)
const piecesOf = (plan: ArrayPlan) =>
  words`${String(plan.strips.length)} in total, up to ${widest(plan).width} long and ${widest(plan).height} high`

function shiftRemedy(array: ScreenArray, wall: Wall, job: Context): Remedy[] {
  const tolerance = array.shiftTolerance ?? { x: 0, y: 0 }
  // Up the wall only joints ask for anything.
  const { units } = structureKindOf(wall.structure)
  const farther = { x: FARTHEST, y: units ? Math.max(FARTHEST / 4, tolerance.y) : tolerance.y }
  const tried = tryOut(array, { shiftTolerance: farther }, wall, job)
  const nominal = arrange(array, job.catalogue.displays, wall)
  if (!tried || !nominal) return []
  const { x, y } = tried.plan.shift
  const { outline } = tried.plan
  const beyond = Math.max(
    -outline.x,
    outline.x + outline.width - wall.width,
    -outline.y,
    outline.y + outline.height - wall.height,
  )
  if (beyond > 0) return []
  const way = (by: number, less: string, more: string) => words`${Math.abs(by)} ${by < 0 ? less : more}`
  const ways = [...x !== 0 ? [way(x, 'to the left', 'to the right')] : [], ...y !== 0 ? [way(y, 'down', 'up')] : []]
  if (ways.length === 0) return []
  const told = ways.reduce((a, b) => words`${a} and ${b}`)
  return [{
    kind: 'shift',
    title: words`Shift the whole array ${told}`,
    held: tried.held,
    total: tried.plan.positions.length,
    stops: tried.stops,
    ...(tried.moves && { moves: tried.moves }),
    says: [
      words`${Math.max(Math.abs(x) - tolerance.x, Math.abs(y) - tolerance.y)} more than the shift of
        ${x !== 0 ? tolerance.x : tolerance.y} that the client allows: ask first.`,
      words`Its centre is then at ${outline.x + outline.width / 2} instead of
        ${nominal.outline.x + nominal.outline.width / 2}.`,
      useText(tried),
    ],
    change: { shiftTolerance: { x: Math.max(tolerance.x, Math.abs(x)), y: Math.max(tolerance.y, Math.abs(y)) } },
  }]
}

function slotRemedies(array: ScreenArray, mount: Mount, wall: Wall, job: Context): Remedy[] {
  return (mount.otherNeeds ?? [])
    .filter(use => !sameUse(use, array.needs ?? mount.needs))
    .flatMap(({ capacity, members, rows }): Remedy[] => {
      const tried = tryOut(array, { needs: { members, rows } }, wall, job)
      const heaviest = Math.max(
        ...(tried?.plan.positions ?? []).map(
          ({ model }) => job.catalogue.displays.find(({ id }) => id === model)?.mass ?? 0,
        ),
      )
      if (!tried || (capacity !== undefined && heaviest > capacity)) return []
      return [{
        kind: 'slots',
        title: words`Fix each plate to ${members === 1 ? 'one stud' : `${members} studs`}, by its
          ${rows.join(' and ')} slots`,
        held: tried.held,
        total: tried.plan.positions.length,
        stops: tried.stops,
        ...(tried.moves && { moves: tried.moves }),
        says: [
          capacity === undefined
            ? words`The maker allows this.`
            : words`The maker then allows ${String(capacity)} kg; the heaviest display is ${String(heaviest)} kg.`,
          useText(tried),
        ],
        change: { needs: { members, rows } },
      }]
    })
}

function carrierRemedies(array: ScreenArray, mount: Mount, wall: Wall, job: Context): Remedy[] {
  if (!isFramed(wall)) return []
  return (['rail', 'board'] as const).filter(kind => array.carrier?.kind !== kind).flatMap((kind): Remedy[] => {
    const carrier = USUAL_CARRIERS[kind]
    const tried = tryOut(array, { carrier }, wall, job)
    if (!tried) return []
    const { plan } = tried
    const fasteners = plan.positions.reduce((sum, { holes = [] }) => sum + holes.length, 0)
    const members = [...new Set(plan.strips.flatMap(({ supports }) => supports.map(({ member }) => member + 1)))].sort(
      (a, b) => a - b,
    )
    return [{
      kind,
      title:
        kind === 'rail'
          ? words`Rails across the studs, one behind each row of slots`
          : words`A backing board of ${carrier.thickness} plywood, fixed to every stud`,
      held: tried.held,
      total: plan.positions.length,
      stops: tried.stops,
      ...(tried.moves && { moves: tried.moves }),
      says: [
        words`${piecesOf(plan)}, on studs ${members.join(', ')}, with ${String(fasteners)} fasteners.`,
        words`The whole array moves out by ${carrier.thickness} to keep its faces in one plane: stowed depth
          ${mount.depth.stowed + carrier.thickness} instead of ${mount.depth.stowed}.`,
        useText(tried),
      ],
      change: { carrier: { ...carrier } },
    }]
  })
}

/** Another fastener of the site: one that is thinner keeps less from an edge, and needs less of a member. */
function fastenerRemedies(array: ScreenArray, wall: Wall, job: Context): Remedy[] {
  const others = job.catalogue.fasteners.filter(
    ({ id, base, retired }) => id !== array.fastener && basesOf(wall).includes(base) && !retired,
  )
  return others.flatMap((fastener): Remedy[] => {
    const tried = tryOut(array, { fastener: fastener.id }, wall, job)
    if (!tried || tried.stops.length > 0) return []
    return [{
      kind: 'fastener',
      title: words`Another fastener: ${fastener.name ?? fastener.id}`,
      held: tried.held,
      total: tried.plan.positions.length,
      stops: tried.stops,
      ...(tried.moves && { moves: tried.moves }),
      says: [
        words`Diameter ${fastener.diameter}, length ${fastener.length}, in every hole of the array that is not
          drilled yet.`,
        useText(tried),
      ],
      change: { fastener: fastener.id },
    }]
  })
}

function mountRemedies(
  { array, mount }: { array: ScreenArray, mount: Mount },
  wall: Wall,
  job: Context,
  offered: Mount[],
  { tell, isOver }: Required<Pick<Search, 'tell' | 'isOver'>>,
): Remedy[] {
  const heaviest = (plan: ArrayPlan) =>
    Math.max(...plan.positions.map(({ model }) => job.catalogue.displays.find(({ id }) => id === model)?.mass ?? 0))
  const { needs: _, ...plain } = array
  const candidates = offered
    .filter(
      ({ id, retired, orientations }) => id !== array.mount && !retired && orientations.includes(array.orientation),
    )
    .sort((a, b) => Number(a.kind !== mount.kind) - Number(b.kind !== mount.kind))
  const found: Remedy[] = []
  for (const [n, other] of candidates.entries()) {
    tell(n / candidates.length)
    if (found.length === MOUNTS || isOver()) break
    const catalogue: Catalogue = {
      ...job.catalogue,
      mounts: [...job.catalogue.mounts.filter(({ id }) => id !== other.id), other],
    }
    const on: Context = { ...job, catalogue }
    const laidOut = layOut({ ...plain, mount: other.id }, wall, job.surveyed, on, job.built)
    // What does not hold every plate is not calculated any further.
    const isHeld = laidOut && platesOf(laidOut, wall, job.surveyed, on, job.built).every(({ plate }) => plate.held)
    if (!isHeld) continue
    const tried = tryOut(plain, { mount: other.id }, wall, on)
    if (!tried || heaviest(tried.plan) > other.capacity || tried.stops.length > 0) continue
    found.push({
      kind: 'mount',
      title: words`Another mount: ${other.name}`,
      held: tried.held,
      total: tried.plan.positions.length,
      stops: tried.stops,
      ...(tried.moves && { moves: tried.moves }),
      says: [
        words`A ${choiceName(other.kind)}
          mount${other.kind === mount.kind ? '' : ` instead of ${choiceName(mount.kind)}`}; capacity
          ${String(other.capacity)} kg.`,
        words`Stowed depth ${other.depth.stowed} instead of ${mount.depth.stowed}.`,
        useText(tried),
      ],
      change: { mount: other.id, needs: undefined },
    })
  }
  return found
}

/** How remedies are looked for. */
export interface Search {
  /** The pipeline of the wall's plan, so that it is not surveyed anew. */
  through?: Pipeline
  /** Receives the progress, 0 to 1. */
  tell?: (share: number) => void
  /** Whether no more is looked for: what was found by then is what there is. */
  isOver?: () => boolean
}

/**
 * What else would hold an array that is not held as it is: a larger shift, another use of the slots,
 * rails, a board, another fastener, another mount. Each is planned through before it is reported; those that hold every
 * plate without a stop come first, then those that hold most; one that holds no more than now is left out.
 *
 * @param built what stands on the wall by the log: it is kept to by every remedy, too
 * @param offered mounts that could be taken in place of its own
 */
export function remediesFor(
  { array, document }: { array: ScreenArray, document: Wall },
  context: PlanContext,
  built: AsBuilt = NOTHING_BUILT,
  offered: Mount[] = context.catalogue.mounts,
  { through = pipeline(), tell = () => {}, isOver = () => false }: Search = {},
): Remedy[] {
  const own = through.contextFor(context, document)
  const wall = through.wallOf(document, built.holes, own.rules)
  const job: Context = { ...own, built, surveyed: through.survey(wall, own.rules) }
  const mount = job.catalogue.mounts.find(({ id }) => id === array.mount)
  const now = tryOut(array, {}, wall, job)
  if (!mount || !now) return []
  const ways = [
    () => shiftRemedy(array, wall, job),
    () => slotRemedies(array, mount, wall, job),
    () => carrierRemedies(array, mount, wall, job),
    () => fastenerRemedies(array, wall, job),
    () => mountRemedies({ array, mount }, wall, job, offered, { tell: share => tell((4 + share) / 5), isOver }),
  ]
  const found = ways.flatMap((way, n) => {
    if (isOver()) return []
    const remedies = way()
    tell((n + 1) / ways.length)
    return remedies
  })
  const piece = pieceOf(wall)
  return found
    .filter(({ held }) => held > now.held)
    .map(remedy => ({
      ...remedy,
      title: sayPiece(remedy.title, piece),
      says: remedy.says.map(text => sayPiece(text, piece)),
    }))
    .sort((a, b) => b.held - a.held || Number(a.stops.length > 0) - Number(b.stops.length > 0))
}
