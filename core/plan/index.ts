import { apartFindings } from '../arrange'
import type { Finding } from '../finding'
import { findingKind } from '../findings'
import {
  changeFrom,
  deadHoles,
  disputedFindings,
  hangFindings,
  openFindings,
  orderFindings,
  type Change,
  type DeadHole,
  type HangingOrder,
} from '../hang'
import { arraysOf, type Job, type PlanContext, type Rules, type Wall } from '../job'
import { asBuilt, NOTHING_BUILT, withOverrides, type AsBuilt } from '../log'
import { markFindings, type Marking } from '../mark'
import { placedOf, type ArrayPlan, type Mounting, type Placed } from '../mount'
import { rulesFor } from '../rules'
import { pieceOf, sayPiece, type NextProbe, type Piece, type Survey } from '../survey'
import type { UnitSystem } from '../units'
import { wireFindings, type Wiring } from '../wire'
import { displayUnknown, platesOf, type LaidOut, type MountedArray } from './arrays'
import { withEarlierRules } from './earlierRules'
import { alternativeFindings } from './findings'
import { rooms, type Rooms } from './rooms'
import { isDrilledUnissued, type Standing } from './standing'

export { infeasibleInputs } from './infeasible'
export { rooms, type Rooms } from './rooms'

/** Everything that follows for one wall. */
export interface WallPlan extends Omit<Survey, 'findings'> {
  id: string
  /** Where one more reading tells most; absent where nothing is left to settle. */
  nextProbe?: NextProbe
  arrays: ArrayPlan[]
  marking: Marking
  /** Which circuit feeds which screen, and where the boxes are. */
  wiring: Wiring
  /** Holes that serve nothing any more. */
  dead: DeadHole[]
  /** What is elsewhere than it was issued, where a mark-out was. */
  change?: Change
  /** How the screens of each array are hung. */
  hanging: HangingOrder[]
  findings: Finding[]
  /** Said where battens of the furring carry, and no studs. */
  piece?: Piece
}

/** Everything that follows from a job; derived afresh whenever the job changes, kept only when issued. */
export interface Plan { walls: WallPlan[] }

/** What the walls of a job are planned with beside themselves: the rules are its firm’s and its site’s. */
export const contextOf = (job: Job): PlanContext => ({ catalogue: job.catalogue, rules: rulesFor(job), site: job.site })

/** A wall as it is surveyed with what was drilled in it, and its arrays laid out on that. */
interface Ground { wall: Wall, surveyed: Survey, rules: Rules, units: UnitSystem, laidOut: (LaidOut | undefined)[] }

function layOutAll(
  document: Wall,
  { catalogue, rules: chosen, site }: PlanContext,
  built: AsBuilt,
  through: Rooms,
): Ground {
  const units = site?.units ?? 'metric'
  const rules = through.rules(chosen, document.rules)
  const wall = through.wallOf(document, built.holes, rules)
  const surveyed = through.survey(wall, rules)
  const laidOut = arraysOf(document).map(array =>
    through.layOut(through.slotUse(array, catalogue, rules), wall, surveyed, catalogue, rules, units, built),
  )
  return { wall, surveyed, rules, units, laidOut }
}

/** What stands on a wall by its log; of one that was drilled and not issued, by where it was planned before that. */
function standingOf(document: Wall, context: PlanContext, built: AsBuilt, through: Rooms): AsBuilt {
  if (!isDrilledUnissued(built)) return built
  const { wall, surveyed, rules, units, laidOut } = layOutAll(document, context, NOTHING_BUILT, through)
  const first = laidOut.flatMap(each =>
    each ? [through.plates(each, wall, surveyed, context.catalogue, rules, units, NOTHING_BUILT)] : [])
  return through.asFirstPlanned(built, through.steadyList(first) as Standing[])
}

/** The survey of a wall, and its arrays mounted on what that found. */
function mountAll(
  document: Wall,
  context: PlanContext,
  built: AsBuilt,
  through: Rooms,
): { wall: Wall, surveyed: Survey, mounted: MountedArray[], unknown: Finding[] } {
  const standing = standingOf(document, context, built, through)
  const { wall, surveyed, rules, units, laidOut } = layOutAll(document, context, standing, through)
  const mounted = laidOut.flatMap(each =>
    each ? [through.mount(each, wall, surveyed, context.catalogue, rules, units, standing)] : [],
  )
  const unknown = arraysOf(document)
    .filter((_, n) => !laidOut[n])
    .map(displayUnknown)
  return { wall, surveyed, mounted: through.steadyList(mounted) as MountedArray[], unknown }
}

/**
 * Plans one wall: survey, then each array, then the marks.
 *
 * @param built what stands there by the log: made holes keep their place, and one that missed is a reading
 * @param through the rooms of an earlier plan, so that only that is calculated again which has changed
 */
export function planWall(document: Wall, context: PlanContext, built: AsBuilt = NOTHING_BUILT, through: Rooms = rooms()): WallPlan {
  const { catalogue, site } = context
  const units = site?.units ?? 'metric'
  const rules = through.rules(context.rules, document.rules)
  const { wall, surveyed, mounted, unknown } = mountAll(document, context, built, through)
  const fixed = mounted.map(each => through.fix(each, mounted, wall, surveyed, catalogue, rules, units))
  const arrays = fixed.map(({ plan }) => plan)
  const lifts = through.steadyList(mounted.map(({ mounting }) => mounting.lifts)) as Mounting['lifts'][]
  const steadyArrays = through.steadyList(arrays) as ArrayPlan[]
  const hanging = through.hang(steadyArrays, lifts, catalogue, rules)
  const wiring = through.wire(document, surveyed.members, steadyArrays, through.context(catalogue, rules, units))
  const probe = through.probe(wall, surveyed, mounted, catalogue, units)
  const { findings, ...found } = surveyed
  const marking = through.mark(document, steadyArrays, wiring, rules)
  const dead = deadHoles(document, built, catalogue)
  const piece = pieceOf(wall)
  const marked = (finding: Finding): Finding => findingKind(finding.code)?.never ? { ...finding, never: true } : finding
  const inPieces = (finding: Finding): Finding => piece === 'batten' ? { ...finding, message: sayPiece(finding.message, piece), ...finding.remedy && { remedy: sayPiece(finding.remedy, piece) } } : finding
  const laid = arrays.map(({ id, name, outline, positions }) => ({ id, name, outline, cells: positions }))
  return {
    id: document.id,
    ...found,
    ...(probe && { nextProbe: piece === 'batten' ? { ...probe, why: sayPiece(probe.why, piece) } : probe }),
    arrays,
    wiring,
    marking,
    dead,
    ...(built.issued && { change: changeFrom(built.issued, arrays) }),
    hanging,
    ...(piece === 'batten' && { piece }),
    findings: withEarlierRules(withOverrides(
      [
        ...findings,
        ...wireFindings(document, arrays, wiring, catalogue, rules),
        ...markFindings(document, arrays, marking, rules),
        ...hangFindings(arrays, built, dead, wall.structure.kind),
        ...disputedFindings(arrays, built),
        ...openFindings(built, document.id),
        ...built.findings,
        ...orderFindings(hanging, lifts, catalogue, rules),
        ...alternativeFindings(document),
        ...unknown,
        ...fixed.flatMap(({ findings }) => findings),
        ...apartFindings(laid, document.clearance),
      ].map(finding => marked(inPieces(finding))),
      built.overrides,
      document,
    ), document, built),
  }
}

/** Where the plates and holes of a wall are, and nothing else of its plan: what follows a hand that drags an array. */
export function placeWall(document: Wall, context: PlanContext, built: AsBuilt, through: Rooms): Placed[] {
  const standing = standingOf(document, context, built, through)
  const { wall, surveyed, rules, units, laidOut } = layOutAll(document, context, standing, through)
  return placedOf(laidOut.flatMap(each => each
    ? [{ id: each.array.id, positions: platesOf(each, wall, surveyed, context.catalogue, rules, units, standing) }]
    : []))
}

/**
 * The one function that composes the stages. Pure and deterministic; takes a job that
 * `validateJob` has let through.
 */
export function plan(job: Job): Plan {
  return { walls: job.walls.map(wall => planWall(wall, contextOf(job), asBuilt(job.log, wall))) }
}

/** Whether no finding of a wall stops the work. */
export function hasStop(findings: Finding[]): boolean {
  return findings.some(({ severity }) => severity === 'stop')
}
