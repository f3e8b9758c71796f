import type { Finding } from '../finding'
import { findingKind } from '../findings'
import type { Job, PlanContext, Wall } from '../job'
import { asBuilt, NOTHING_BUILT, withOverrides, type AsBuilt } from '../log'
import { placedOf, type Placed } from '../mount'
import { rulesFor } from '../rules'
import { sayPiece, type Piece } from '../survey'
import { withEarlierRules } from './earlierRules'
import { pipeline, type Pipeline } from './pipeline'
import { PLANNED, saidOf, type Given, type PlannedStage, type Results, type WallPlan } from './stages'
import { isDrilledUnissued, type Standing } from './standing'

export { infeasibleInputs } from './infeasible'
export { pipeline, type Pipeline } from './pipeline'
export type { WallPlan } from './stages'

/** Everything that follows from a job; derived afresh whenever the job changes, kept only when issued. */
export interface Plan { walls: WallPlan[] }

/** What the walls of a job are planned with beside themselves: the rules are its firm’s and its site’s. */
export const contextOf = (job: Job): PlanContext => ({ catalogue: job.catalogue, rules: rulesFor(job), site: job.site })

/** What a wall is planned from: what people decided, what it is planned with, and what is there. */
function givenOf(document: Wall, asked: PlanContext, built: AsBuilt, kept: AsBuilt, through: Pipeline): Given {
  const context = through.contextFor(asked, document)
  return { document, context, built, kept, wall: through.wallOf(document, kept.holes, context.rules) }
}

/** The stages of a wall worked out, one after the other, up to the one that is asked for. */
function workedOut(given: Given, through: Pipeline, last: PlannedStage = 'hang'): Given & Results {
  const worked = { ...given } as Given & Results
  for (const stage of PLANNED) {
    Object.assign(worked, { [stage.id]: stage.work(worked, through) })
    if (stage.id === last) break
  }
  return worked
}

/** The arrays of a wall with their plates and holes, as far as a hand that drags one has to see them. */
const placedArrays = ({ arrange, wall, survey, context, kept }: Given & Results, through: Pipeline): Standing[] =>
  arrange.flatMap(each => each ? [through.plates(each, wall, survey, context, kept)] : [])

/** What is there by the log; of a wall that was drilled and not issued, with where it was planned before that. */
function keptOf(document: Wall, context: PlanContext, built: AsBuilt, through: Pipeline): AsBuilt {
  if (!isDrilledUnissued(built)) return built
  const first = workedOut(givenOf(document, context, NOTHING_BUILT, NOTHING_BUILT, through), through, 'arrange')
  return through.asFirstPlanned(built, through.steadyList(placedArrays(first, through)) as Standing[])
}

/** Findings as the wall tells them: what may never be overridden, battens by their name, what a person overrode. */
function toldOf(findings: Finding[], { document, built }: Given, piece: Piece | undefined): Finding[] {
  const marked = (finding: Finding): Finding =>
    findingKind(finding.code)?.never ? { ...finding, never: true } : finding
  const inPieces = ({ message, remedy, ...finding }: Finding): Finding => ({
    ...finding, message: sayPiece(message, piece), ...remedy && { remedy: sayPiece(remedy, piece) },
  })
  const named = findings.map(finding => marked(piece ? inPieces(finding) : finding))
  return withEarlierRules(withOverrides(named, built.overrides, document), document, built)
}

/**
 * Plans one wall: every stage of the list from those before it.
 *
 * @param built what is there by the log: made holes keep their place, and one that missed is a reading
 * @param through the pipeline of an earlier plan, so that only that is calculated again which has changed
 */
export function planWall(
  document: Wall, context: PlanContext, built: AsBuilt = NOTHING_BUILT, through: Pipeline = pipeline(),
): WallPlan {
  const kept = keptOf(document, context, built, through)
  const worked = workedOut(givenOf(document, context, built, kept, through), through)
  const shown = Object.assign({}, ...PLANNED.map(({ shows }) => shows(worked, through))) as WallPlan
  const { piece, nextProbe } = shown
  return {
    ...shown,
    id: document.id,
    ...nextProbe && piece && { nextProbe: { ...nextProbe, why: sayPiece(nextProbe.why, piece) } },
    findings: toldOf(saidOf(worked), worked, piece),
  }
}

/** Where the plates and holes of a wall are, and nothing else of its plan: what follows a hand that drags an array. */
export function placeWall(document: Wall, context: PlanContext, built: AsBuilt, through: Pipeline): Placed[] {
  const kept = keptOf(document, context, built, through)
  const worked = workedOut(givenOf(document, context, built, kept, through), through, 'arrange')
  return placedOf(placedArrays(worked, through)
    .map(({ laidOut, cells }) => ({ id: laidOut.array.id, positions: cells })))
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
