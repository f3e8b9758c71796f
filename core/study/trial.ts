import type { Chance } from '../survey/simulate'
import { linesOf, seamsBetween, type Line, type Reach, type StudiedWall } from './wall'

/** How marks are made: each from the datum, or each from the one before. */
export type Marking = 'running' | 'mark-to-mark'

/** What makes a wall other than it was planned. */
export interface Causes {
  /** One σ of a mark, and of how far a drill wanders from it, mm. */
  marking: number
  drilling: number
  /** How far a plate lies loose about its screws in all, evenly, mm. */
  slack: number
  /** What counts of the cases' own sizes, and of the wall's face: 1 as it is, 0 nothing. */
  size: number
  faces: number
}
export const CAUSES = ['marking', 'drilling', 'slack', 'size', 'faces'] as const

/** Chance of one wall, before any cause is weighed: for each screen, along and up. */
export interface Drawn { marking: Float64Array[], drilling: Float64Array[], slack: Float64Array[], size: Float64Array[], face: Float64Array }

/** Draws one wall: the same for every cause that is then weighed, so that what differs between two is the cause alone. */
export function draw(screens: number, luck: Chance): Drawn {
  const both = (one: () => number) => [0, 1].map(() => Float64Array.from({ length: screens }, one))
  return { marking: both(() => luck.off(1)), drilling: both(() => luck.off(1)), slack: both(() => luck.between(-0.5, 0.5)), size: both(() => luck.between(-1, 1)), face: Float64Array.from({ length: screens }, () => luck.off(1)) }
}

/** How a drawn wall comes out once its adjusters have done what they can: the worst seam's distance from its target, mm, and whether cases would have to overlap for it. */
export interface Outcome { worst: number, overlaps: boolean }

/**
 * What is left of the worst seam of each wall that is drawn. Positions p with pᵢ − eᵢ within an adjuster's reach, and
 * every seam within t of its target, are difference constraints: they can be met if and only if no way round their
 * graph is negative. Along a line the only such ways lead from one screen to another and back through the reach of
 * both, so that the least t is the largest over every two of what their reach leaves over, shared by the seams between.
 */
export function trialOf({ screens, gap }: Pick<StudiedWall, 'screens' | 'gap'>): (drawn: Drawn, by: Marking, causes: Causes) => Outcome {
  const lines = linesOf(screens)
  const pairs = seamsBetween(lines, screens.length)
  const surveyed = screens.every(({ face }) => face !== undefined)
  const stands = new Float64Array(screens.length)
  const grown = new Float64Array(screens.length)

  /** Where the plates of a line stand, mm from their places, as they were marked, drilled and fixed. */
  function place(line: Line, axis: 0 | 1, { marking, drilling, slack, size }: Drawn, by: Marking, causes: Causes) {
    let walk = 0
    for (const n of line) {
      const mark = causes.marking * marking[axis]![n]!
      walk += mark
      stands[n] = (by === 'running' ? mark : walk) + causes.drilling * drilling[axis]![n]! + causes.slack * slack[axis]![n]!
      grown[n] = causes.size * screens[n]!.size * size[axis]![n]!
    }
  }
  /** What is left of the worst seam of a line; a line is gone along towards where its places grow. */
  function worstOf(line: Line, reach: (n: number) => Reach, target: number): Outcome {
    let [worst, overlaps] = [0, false]
    for (let i = 0; i < line.length; i++) {
      // How much longer the cases between two middles are than on the sheet, each end with its half.
      let longer = 0
      for (let j = i + 1; j < line.length; j++) {
        const [a, b] = [line[i]!, line[j]!]
        longer += (grown[line[j - 1]!]! + grown[b]!) / 2
        const apart = stands[b]! - stands[a]! - longer
        const wide = (apart + reach(b).least - reach(a).most) / (j - i)
        const tight = -(apart + reach(b).most - reach(a).least) / (j - i)
        worst = Math.max(worst, wide, tight)
        if (tight > target + 1e-12) overlaps = true
      }
    }
    return { worst, overlaps }
  }
  const [alongX, alongY] = [(n: number) => screens[n]!.x, (n: number) => screens[n]!.y]
  const upwards = lines.columns.map(line => [...line].reverse())

  return (drawn, by, causes) => {
    let [worst, overlaps] = [0, false]
    for (const [axis, along, reach, target] of [[0, lines.rows, alongX, gap.x], [1, upwards, alongY, gap.y]] as const) {
      for (const line of along) {
        place(line, axis, drawn, by, causes)
        const found = worstOf(line, reach, target)
        worst = Math.max(worst, found.worst)
        overlaps ||= found.overlaps
      }
    }
    if (surveyed && causes.faces > 0) {
      for (const { a, b, seams } of pairs) {
        const [one, other] = [screens[a]!, screens[b]!]
        const out = (n: number) => causes.faces * (screens[n]!.face!.out + screens[n]!.face!.sigma * drawn.face[n]!)
        worst = Math.max(worst, (out(a) + one.depth.least - out(b) - other.depth.most) / seams)
      }
    }
    return { worst, overlaps }
  }
}
