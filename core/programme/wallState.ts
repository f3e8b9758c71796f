import type { Finding, Stage } from '../finding'
import { kitOf, type KitItem } from '../hang'
import type { Job } from '../job'
import { asBuilt, standing } from '../log'
import { contextOf, planWall } from '../plan'
import { drawnOf, type DrawnPlan } from '../plan/drawn'
import { standingOf, stageStates, type StageState } from '../plan/stageStates'
import { rulesFor } from '../rules'
import type { Text } from '../units'
import { lessonsOf, type Lessons } from './lessons/lessons'
import { partsOf, type Part, type Used } from './stock/parts'
import { samplesOf, workloadOf, type Sample, type Work, type WorkloadOf } from './tasks/workload'

/** An array as a small drawing shows it: the outlines of its screens, mm. */
export interface Outline { x: number, y: number, width: number, height: number, hung: boolean }

/**
 * All of a wall that is asked for across walls: how its stages stand, what stops it, what work there is and what it
 * needs.
 */
export interface WallState {
  stages: Record<Stage, StageState>
  stops: { stage: Stage, message: Text }[]
  cautions: number
  /** The last revision that was issued. */
  revision?: string
  /** When something was recorded last, and by whom. */
  last?: { at: string, by: string, kind: string }
  screens: Outline[]
  work: Work[]
  needed: Part[]
  used: Used[]
  /** Tools, bits and small parts that are no models of the catalogue. */
  kit: Pick<KitItem, 'id' | 'group' | 'name' | 'count' | 'spare'>[]
  samples: Sample[]
  lessons: Lessons
  /** What the wall is drawn by until its plan has been calculated where it is opened. */
  drawn: DrawnPlan
}

/** So many stops are told of a wall at most. */
const MOST_STOPS = 5

/** The state of a job's one wall: its plan, and what its log tells. Pure, and as long as the plan takes. */
export function wallState(job: Job): WallState {
  const wall = job.walls[0]!
  const context = contextOf(job)
  const rules = rulesFor(job, wall)
  const built = asBuilt(job.log, wall)
  const plan = planWall(wall, context, built)
  const { arrays, wiring, hanging, findings } = plan
  const now = standingOf({
    wall,
    plan,
    findings,
    log: job.log,
    catalogue: job.catalogue,
    rules,
    units: job.site.units,
    built,
  })
  const of: WorkloadOf = { wall, plan, built, log: job.log, now, catalogue: job.catalogue, rules }
  const entries = standing(job.log, wall)
  const [last, issued] = [entries.at(-1), entries.findLast(({ kind }) => kind === 'issued')]
  const stops = findings.filter(({ severity }: Finding) => severity === 'stop')
  const { needed, used } = partsOf(of)
  const hung = new Set(built.hung)
  return {
    stages: stageStates(now),
    stops: stops.slice(0, MOST_STOPS).map(({ stage, message }) => ({ stage, message })),
    cautions: findings.filter(({ severity }) => severity === 'caution').length,
    ...issued?.kind === 'issued' && { revision: issued.revision },
    ...last && { last: { at: last.at, by: last.by, kind: last.kind } },
    screens: arrays.flatMap(({ positions }) => positions.map(({ id, outer }) => ({ ...outer, hung: hung.has(id) }))),
    work: workloadOf(of), needed, used,
    kit: kitOf({ wall, arrays, wiring, hanging, catalogue: job.catalogue, units: job.site.units })
      .filter(({ isModel }) => !isModel)
      .map(({ id, group, name, count, spare }) => ({ id, group, name, count, spare })),
    samples: samplesOf(of), lessons: lessonsOf(of), drawn: drawnOf(plan),
  }
}
