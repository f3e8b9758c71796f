import { recordOf } from '../close/record'
import { STAGES, type Finding, type Stage } from '../finding'
import { drilledHoles, holeSteps, isStepDone, runOf } from '../hang'
import { arraysOf, hasBacking, type Catalogue, type Rules, type Wall } from '../job'
import { asBuilt, ofKind, standing, type AsBuilt, type LogEntry, type MadeHole } from '../log'
import { chosenFigure } from '../rules'
import { isFramed } from '../survey'
import { isTrued } from '../true/seam'
import type { UnitSystem } from '../units'
import { waitOf } from './waits'
import type { WallPlan } from './index'

export type StageState = 'not started' | 'in hand' | 'waits' | 'stop' | 'caution' | 'settled'

/** What is known of a wall, by which it is told how far a stage has come. */
export interface Standing {
  wall: Wall
  plan?: Pick<WallPlan, 'members' | 'arrays' | 'marking' | 'wiring'>
  findings: Finding[]
  /** Holes that there are, and how many of them are made. */
  holes: number
  drilled: number
  /** Steps of the run of work that are not done, and screens that do not hang. */
  stepsLeft: number
  screensLeft: number
  issued: boolean
  /** Whether any seam was read, and whether all were within the tolerance at last. */
  read: boolean
  trued: boolean
  /**
   * Whether anything of handing over was recorded, and whether it was signed with nothing left to lock or to stop it.
   */
  closing: boolean
  signed: boolean
}

const CLOSING = new Set<LogEntry['kind']>(['serial', 'locked', 'firmware', 'tested', 'point', 'signed', 'visit'])

/** What is looked at to tell how far a wall has come. */
export interface StandingOf {
  wall: Wall
  plan: (Standing['plan'] & Pick<WallPlan, 'hanging'>) | undefined
  findings: Finding[]
  log: LogEntry[]
  catalogue: Catalogue
  rules: Rules
  units: UnitSystem
  /** What stands by the log, where that is known already. */
  built?: AsBuilt
}

/** How a wall stands by its plan and its log. */
export function standingOf({
  wall,
  plan,
  findings,
  log,
  catalogue,
  rules,
  units,
  built = asBuilt(log, wall),
}: StandingOf): Standing {
  const entries = standing(log, wall)
  const { signatures, locked } = recordOf(log, wall)
  const steps = plan ? holeSteps(plan.arrays) : []
  const drilled = plan ? drilledHoles(plan.arrays, built) : new Map<string, MadeHole>()
  const run = plan ? runOf({ wall, ...plan, catalogue, rules }) : []
  const screens = plan?.arrays.flatMap(({ positions }) => positions.map(({ id }) => id)) ?? []
  const tolerance = chosenFigure('seamTolerance', rules, units)
  return {
    wall,
    ...(plan && { plan }),
    findings,
    holes: steps.length,
    drilled: [...drilled.values()].filter(({ result }) => result === 'hit').length,
    stepsLeft: run.filter(step => !isStepDone(step, built, drilled)).length,
    screensLeft: screens.filter(id => !built.hung.includes(id)).length,
    issued: ofKind(entries, 'issued').length > 0,
    read: built.seams.length > 0,
    trued: arraysOf(wall).every(({ id, rows, columns, gap }) => {
      const read = built.seams.find(({ array }) => array === id)
      return rows * columns < 2 || (read !== undefined && isTrued(read, gap, tolerance))
    }),
    closing: entries.some(({ kind }) => CLOSING.has(kind)),
    signed:
      signatures.length > 0
      && built.hung.every(id => locked.has(id))
      && !findings.some(({ severity }) => severity === 'stop'),
  }
}

const hasPlates = ({ plan }: Standing) =>
  plan?.arrays.some(({ positions }) => positions.some(({ plate }) => plate)) ?? false
const hasLoads = ({ plan }: Standing) =>
  plan?.arrays.some(({ positions }) => positions.some(({ loads }) => loads)) ?? false
const hasArrays = ({ plan }: Standing) => (plan?.arrays.length ?? 0) > 0
const isWired = ({ wall }: Standing) => (wall.sources?.length ?? 0) > 0 || (wall.boxes?.length ?? 0) > 0
const hasMarks = ({ plan }: Standing) => (plan?.marking.marks.length ?? 0) > 0

/** Whether there is anything of a stage yet. */
const BEGUN: Record<Stage, (now: Standing) => boolean> = {
  survey: () => true, arrange: hasArrays, mount: hasPlates, fix: hasLoads, wire: isWired, mark: hasMarks,
  hang: ({ drilled }) => drilled > 0, true: ({ read }) => read, close: ({ closing }) => closing,
}

/** Whether there is nothing left to do in a stage. */
const SETTLED: Record<Stage, (now: Standing) => boolean> = {
  survey: ({ plan, wall }) => (plan?.members.length ?? 0) > 0 || !isFramed(wall) || hasBacking(wall),
  arrange: hasArrays,
  mount: hasPlates,
  fix: hasLoads,
  wire: ({ plan }) => {
    const { left = [], boxes = [], noWay = [], cables = [] } = plan?.wiring ?? {}
    return (
      plan !== undefined
      && left.length === 0
      && boxes.every(({ held }) => held)
      && noWay.length === 0
      && cables.every(({ taken }) => taken !== undefined)
    )
  },
  mark: now => hasMarks(now) && now.issued && !now.findings.some(({ severity }) => severity === 'stop'),
  hang: ({ holes, drilled, stepsLeft, screensLeft }) =>
    holes > 0 && drilled === holes && stepsLeft === 0 && screensLeft === 0,
  true: ({ read, trued }) => read && trued,
  close: ({ signed }) => signed,
}

/**
 * How far a stage has come: a stop before all else, then what it waits for, then whether it is begun and what is left
 * of it.
 */
export function stageState(stage: Stage, now: Standing): StageState {
  const here = now.findings.filter(finding => finding.stage === stage)
  if (here.some(({ severity }) => severity === 'stop')) return 'stop'
  if (waitOf(stage, now.findings)) return 'waits'
  if (!BEGUN[stage](now)) return 'not started'
  if (here.some(({ severity }) => severity === 'caution')) return 'caution'
  return SETTLED[stage](now) ? 'settled' : 'in hand'
}

/** How far each stage of a wall has come. */
export const stageStates = (now: Standing): Record<Stage, StageState> =>
  Object.fromEntries(STAGES.map(stage => [stage, stageState(stage, now)])) as Record<Stage, StageState>
