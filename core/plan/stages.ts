import { apartFindings } from '../arrange'
import type { Finding, Stage } from '../finding'
import {
  changeFrom, deadHoles, disputedFindings, hangFindings, openFindings, orderFindings, type Change, type DeadHole,
  type HangingOrder,
} from '../hang'
import { arraysOf, type PlanContext, type Wall } from '../job'
import type { AsBuilt } from '../log'
import { markFindings, type Marking } from '../mark'
import type { ArrayPlan, TightLift } from '../mount'
import { pieceOf, type NextProbe, type Piece, type Survey } from '../survey'
import { wireFindings, type Wiring } from '../wire'
import { displayUnknown, type FixedArray, type LaidOut, type MountedArray } from './arrays'
import { alternativeFindings } from './findings'
import type { Pipeline } from './pipeline'

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

/** What a wall is planned from. */
export interface Given {
  /** The wall as people decided it. */
  document: Wall
  /** Models, units, and the rules of this very wall. */
  context: PlanContext
  /** What is there by the log. */
  built: AsBuilt
  /** The same, and of a wall that was drilled without an issued revision, where its marks were before that. */
  kept: AsBuilt
  /** The wall as it carries, with what drilling told of it. */
  wall: Wall
}

/** What each stage gives to those after it. */
export interface Results {
  survey: Survey
  /** Each array with its displays where they hang; undefined where its display is not known. */
  arrange: (LaidOut | undefined)[]
  mount: MountedArray[]
  fix: { arrays: ArrayPlan[], fixed: FixedArray[] }
  wire: Wiring
  mark: Marking
  hang: { orders: HangingOrder[], lifts: TightLift[][] }
}

/** The stages of a plan in the order in which a wall is worked; True and Close take in the log (`onDemand.ts`). */
type Order = ['survey', 'arrange', 'mount', 'fix', 'wire', 'mark', 'hang']
export type PlannedStage = Order[number] & Stage
type Before<Id, In extends string[] = Order>
  = In extends [infer First extends string, ...infer Rest extends string[]]
    ? First extends Id ? never : First | Before<Id, Rest>
    : never

/** What a stage may look at: what the wall is planned from, and the results of the stages before it. */
type Seen<Id extends PlannedStage> = Given & Pick<Results, Before<Id>>

/** A stage of a plan. It never reaches back: types let it see the stages before it alone. */
export interface StageOfPlan<Id extends PlannedStage> {
  id: Id
  /** Works its result out, through what is remembered. */
  work: (seen: Seen<Id>, through: Pipeline) => Results[Id]
  /** What of it is in the plan of the wall. */
  shows: (seen: Seen<Id> & Pick<Results, Id>, through: Pipeline) => Partial<WallPlan>
  /** What is wrong, doubtful or worth saying. */
  says: (seen: Seen<Id> & Pick<Results, Id>) => Finding[]
}

const survey: StageOfPlan<'survey'> = {
  id: 'survey',
  work: ({ wall, context }, through) => through.survey(wall, context.rules),
  shows: ({ wall, survey: { findings: _, ...found } }) =>
    ({ ...found, ...pieceOf(wall) === 'batten' && { piece: 'batten' } }),
  says: ({ survey }) => survey.findings,
}

const arrange: StageOfPlan<'arrange'> = {
  id: 'arrange',
  work: ({ document, context, kept, wall, survey }, through) => arraysOf(document).map(array =>
    through.layOut(through.slotUse(array, context.catalogue, context.rules), wall, survey, context, kept)),
  shows: () => ({}),
  says: ({ document, arrange }) => [
    ...alternativeFindings(document),
    ...arraysOf(document).filter((_, n) => !arrange[n]).map(displayUnknown),
    ...apartFindings(
      arrange.flatMap(each => each ? [{ id: each.array.id, name: each.array.name, ...each.arrangement }] : []),
      document.clearance,
    ),
  ],
}

const mount: StageOfPlan<'mount'> = {
  id: 'mount',
  work: ({ context, kept, wall, survey, arrange }, through) =>
    through.steadyList(arrange.flatMap(each =>
      each ? [through.mount(each, wall, survey, context, kept)] : [])) as MountedArray[],
  shows: ({ context, wall, survey, mount }, through) => {
    const nextProbe = through.probe(wall, survey, mount, context)
    return nextProbe ? { nextProbe } : {}
  },
  // What is said of plates is said with what holds them.
  says: () => [],
}

const fix: StageOfPlan<'fix'> = {
  id: 'fix',
  work: ({ context, wall, survey, mount }, through) => {
    const fixed = mount.map(each => through.fix(each, mount, wall, survey, context))
    return { fixed, arrays: through.steadyList(fixed.map(({ plan }) => plan)) as ArrayPlan[] }
  },
  shows: ({ fix: { arrays } }) => ({ arrays }),
  says: ({ fix: { fixed } }) => fixed.flatMap(({ findings }) => findings),
}

const wire: StageOfPlan<'wire'> = {
  id: 'wire',
  work: ({ document, context, survey, fix: { arrays } }, through) =>
    through.wire(document, survey.members, arrays, context),
  shows: ({ wire }) => ({ wiring: wire }),
  says: ({ document, context, fix: { arrays }, wire }) => wireFindings(document, arrays, wire, context),
}

const mark: StageOfPlan<'mark'> = {
  id: 'mark',
  work: ({ document, context, fix: { arrays }, wire }, through) => through.mark(document, arrays, wire, context.rules),
  shows: ({ mark }) => ({ marking: mark }),
  says: ({ document, context, fix: { arrays }, mark }) => markFindings(document, arrays, mark, context.rules),
}

const hang: StageOfPlan<'hang'> = {
  id: 'hang',
  work: ({ context, mount, fix: { arrays } }, through) => {
    const lifts = through.steadyList(mount.map(({ mounting }) => mounting.lifts)) as TightLift[][]
    return { lifts, orders: through.hang(arrays, lifts, context) }
  },
  shows: ({ document, context, built, fix: { arrays }, hang: { orders } }) => ({
    dead: deadHoles(document, built, context.catalogue),
    ...built.issued && { change: changeFrom(built.issued, arrays) },
    hanging: orders,
  }),
  says: ({ document, context, built, wall, fix: { arrays }, hang: { orders, lifts } }) => [
    ...hangFindings(arrays, built, deadHoles(document, built, context.catalogue), wall.structure.kind),
    ...disputedFindings(arrays, built),
    ...openFindings(built, document.id),
    ...built.findings,
    ...orderFindings(orders, lifts, context),
  ],
}

/** Every stage that a plan is made of, each worked out from those before it. */
export const PLANNED = [survey, arrange, mount, fix, wire, mark, hang] as const

/** All that is said of a wall; published plans list it in this order. */
export const saidOf = (worked: Given & Results): Finding[] =>
  [survey, wire, mark, hang, arrange, mount, fix].flatMap(({ says }) => says(worked))
