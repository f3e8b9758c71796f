import { chance } from '../survey/simulatedReadings'
import { wilson, type Share } from './share'
import { CAUSES, draw, trialOf, turnedTrialOf, type Causes, type Marking, type Tried } from './trial'
import type { System, Turning } from './turned'
import type { StudiedWall } from './wall'

/** What would make a wall likelier to close. */
export const CHANGES = ['marking', 'drilling', 'size', 'travel'] as const
export type StudyChange = (typeof CHANGES)[number]

/** So much more travel either way is tried, mm. */
export const MORE_TRAVEL = 2

/**
 * How many walls came out with their worst seam in each stretch of so many mm, the first from 0; what is past the last
 * is counted in it.
 */
export interface Spread {
  width: number
  running: number[]
  markToMark: number[]
}

/** What a study of a wall tells. */
export interface Study {
  trials: number
  running: Share
  markToMark: Share
  /** How often it would close without each cause, the one that costs most first. */
  causes: { cause: (typeof CAUSES)[number], p: number }[]
  /** How often it would close with marks, drilling or cases twice as true, or with more travel. */
  changes: { change: StudyChange, p: number }[]
  spread: Spread
  /** Travel either way that would close nineteen walls of twenty, mm, by the way that is the house's. */
  needs: { x: number, y: number, depth: number }
  /** What nineteen walls of twenty end within, mm, by the way that is the house's. */
  within: number
}

const BINS = 24
/** Simulated walls between two progress reports. */
const REPORTS = 500

/** Causes and changes are tried on so many of the walls at most where crews turn them. */
const TRIED = 500

/** What is looked at of a drawn wall: how it comes out as it is turned, or as far as the travel goes. */
function outcomeOf(
  wall: StudiedWall,
): Tried {
  const { turning } = wall
  return turning ? turnedTrialOf({ ...wall, turning }) : trialOf(wall)
}

function withTravel(turning: Turning): Turning {
  const more = (system: System): System => ({
    ...system,
    knobs: system.knobs.map(knob => ({ ...knob, least: knob.least - MORE_TRAVEL, most: knob.most + MORE_TRAVEL })),
  })
  return { ...turning, plane: more(turning.plane), ...(turning.faces && { faces: more(turning.faces) }) }
}

const withMoreTravel = ({ screens, turning, ...wall }: StudiedWall): StudiedWall => {
  const more = ({ least, most }: { least: number, most: number }) => ({
    least: least - MORE_TRAVEL,
    most: most + MORE_TRAVEL,
  })
  return {
    ...wall,
    ...(turning && { turning: withTravel(turning) }),
    screens: screens.map(screen => ({ ...screen, x: more(screen.x), y: more(screen.y), depth: more(screen.depth) })),
  }
}

/** The value that 19 of 20 walls stay below. */
const nineteenOfTwenty = (values: Float64Array) =>
  Float64Array.from(values).sort()[Math.floor(0.95 * (values.length - 1))]!

/**
 * The distribution of the worst seams in equal steps, up to what 19 walls of 20 keep below, and at least to four
 * tolerances.
 */
function spreadOf(running: Float64Array, markToMark: Float64Array, tolerance: number): Spread {
  const high = Math.max(...[running, markToMark].map(nineteenOfTwenty))
  const width = Math.max(high, 4 * tolerance) / BINS
  const count = (worsts: Float64Array) => {
    const bins = Array.from({ length: BINS }, () => 0)
    for (const worst of worsts) bins[Math.min(BINS - 1, Math.floor(worst / width))]!++
    return bins
  }
  return { width, running: count(running), markToMark: count(markToMark) }
}

/**
 * The tolerance study of a wall: in how many simulated walls the adjusters bring every seam within tolerance without
 * cases overlapping. For both ways of marking; then, for the way of the house rule, without each cause in turn and with
 * each improvement. The same seed gives the same result, and all variants use the same simulated walls.
 *
 * @param trials number of simulated walls
 * @param told receives the progress, 0 to 1
 */
export function study(
  wall: StudiedWall,
  causes: Causes,
  { trials, seed }: { trials: number, seed: number },
  by: Marking = 'running',
  told: (share: number) => void = () => {},
): Study {
  const rng = chance(seed)
  const [asItIs, withMore, byTravel] = [outcomeOf(wall), outcomeOf(withMoreTravel(wall)), trialOf(wall)]
  const known = CAUSES.filter(cause => (causes[cause] ?? 0) > 0)
  const ways = [
    { trial: asItIs, by: 'running' as const, causes },
    { trial: asItIs, by: 'mark-to-mark' as const, causes },
  ]
  const variants = [
    ...known.map(cause => ({ trial: asItIs, by, causes: { ...causes, [cause]: 0 } })),
    ...CHANGES.map(change =>
      change === 'travel'
        ? { trial: withMore, by, causes }
        : { trial: asItIs, by, causes: { ...causes, [change]: causes[change] / 2 } },
    ),
  ]
  const every = wall.turning ? Math.max(1, Math.ceil(trials / TRIED)) : 1
  const cases = [...ways, ...variants]
  const well = cases.map(() => 0)
  const needs = [0, 1, 2].map(() => new Float64Array(trials))
  const worsts = [new Float64Array(trials), new Float64Array(trials)] as const
  for (let n = 0; n < trials; n++) {
    const drawn = draw(wall.screens.length, rng, wall.turning)
    cases.forEach(({ trial, by, causes }, k) => {
      if (k >= ways.length && n % every > 0) return
      const { worst, overlaps } = trial(drawn, by, causes)
      if (worst <= wall.tolerance + 1e-9 && !overlaps) well[k]!++
      if (k < ways.length) worsts[k]![n] = worst
    })
    byTravel(drawn, by, causes).needs.forEach((mm, axis) => {
      needs[axis]![n] = mm
    })
    if ((n + 1) % REPORTS === 0) told((n + 1) / trials)
  }
  const tried = Math.ceil(trials / every)
  const share = (k: number) => wilson(well[k]!, k < ways.length ? trials : tried)
  return {
    trials,
    running: share(0),
    markToMark: share(1),
    causes: known.map((cause, k) => ({ cause, p: share(2 + k).p })).sort((a, b) => b.p - a.p),
    changes: CHANGES.map((change, k) => ({ change, p: share(2 + known.length + k).p })).sort((a, b) => b.p - a.p),
    needs: { x: nineteenOfTwenty(needs[0]!), y: nineteenOfTwenty(needs[1]!), depth: nineteenOfTwenty(needs[2]!) },
    within: nineteenOfTwenty(worsts[by === 'running' ? 0 : 1]),
    spread: spreadOf(worsts[0], worsts[1], wall.tolerance),
  }
}
