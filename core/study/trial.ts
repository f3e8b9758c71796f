import type { Chance } from '../survey/simulatedReadings'
import { facesOff, planeOff, turnedTwice, worstOf, type Hung, type Slips, type System, type Turning } from './turned'
import { linesOf, seamsBetween, type Line, type StudiedScreen, type StudiedWall } from './wall'

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
  /** The same of how far cases are out of square and rolled. */
  squareness?: number
  /** How far an adjuster slips back, and how far a gauge is out, one σ, mm. */
  slip?: number
  gauge?: number
}
export const CAUSES = ['marking', 'drilling', 'slack', 'size', 'faces', 'squareness', 'slip', 'gauge'] as const

/** Chance of one wall, before any cause is weighed: for each screen, along and up. */
export interface Drawn {
  marking: Float64Array[]
  drilling: Float64Array[]
  slack: Float64Array[]
  size: Float64Array[]
  face: Float64Array
  /** Of each screen, and of each adjuster and each end of a seam in two rounds; where a wall is turned. */
  turned?: { rack: Float64Array, roll: Float64Array, plane: Slips, faces?: Slips }
}

/**
 * Draws one wall: the same for every cause that is then weighed, so that what differs between two is the cause alone.
 */
export function draw(screens: number, rng: Chance, turning?: Turning): Drawn {
  const both = (one: () => number) => [0, 1].map(() => Float64Array.from({ length: screens }, one))
  const drawn: Drawn = {
    marking: both(() => rng.off(1)), drilling: both(() => rng.off(1)), slack: both(() => rng.between(-0.5, 0.5)),
    size: both(() => rng.between(-1, 1)), face: Float64Array.from({ length: screens }, () => rng.off(1)),
  }
  if (!turning) return drawn
  const [rack, roll] = both(() => rng.between(-1, 1)) as [Float64Array, Float64Array]
  const twice = (length: number) => [0, 1].map(() => Float64Array.from({ length }, () => rng.off(1)))
  const slips = ({ knobs, rows }: System): Slips => ({ slip: twice(knobs.length), gauge: twice(rows.length) })
  const { plane, faces } = turning
  return { ...drawn, turned: { rack, roll, plane: slips(plane), ...faces && { faces: slips(faces) } } }
}

/**
 * How a drawn wall comes out once its adjusters have done what they can: the worst seam's distance from its target, mm,
 * and whether cases would have to overlap for it.
 */
export interface Outcome {
  worst: number
  overlaps: boolean
  /**
   * How far adjusters that go equally far either way would have to go for all seams to be closed, mm: along, up, and in
   * depth.
   */
  needs: [number, number, number]
}

/**
 * What is left of the worst seam of each wall that is drawn. Positions p with pᵢ − eᵢ within an adjuster's reach, and
 * every seam within t of its target, are difference constraints: they can be met if and only if no way round their
 * graph is negative. Along a line the only such ways lead from one screen to another and back through the reach of
 * both, so that the least t is the largest over every two of what their reach leaves over, shared by the seams between.
 */
export function trialOf({
  screens,
  gap,
  tolerance,
}: StudiedWall): (drawn: Drawn, by: Marking, causes: Causes) => Outcome {
  const lines = linesOf(screens)
  const figures = (of: (screen: StudiedScreen) => number) => Float64Array.from(screens, of)
  const [sizes, face, sigma] = [
    figures(({ size }) => size),
    figures(({ face }) => face?.out ?? 0),
    figures(({ face }) => face?.sigma ?? 0),
  ]
  const reaches = (['x', 'y', 'depth'] as const).map(axis => ({
    least: figures(screen => screen[axis].least),
    most: figures(screen => screen[axis].most),
  }))
  const pairs = screens.every(({ face }) => face !== undefined) ? seamsBetween(lines, screens.length) : []
  const [from, to, seams] = [
    Int32Array.from(pairs, ({ a }) => a),
    Int32Array.from(pairs, ({ b }) => b),
    Float64Array.from(pairs, ({ seams }) => seams),
  ]
  // Columns are gone along upwards, the way in which places grow.
  const along = [
    { axis: 0 as 0 | 1, lines: lines.rows, target: gap.x },
    { axis: 1 as 0 | 1, lines: lines.columns.map(line => [...line].reverse()), target: gap.y },
  ]
  const [stands, grown] = [new Float64Array(screens.length), new Float64Array(screens.length)]

  /** Where the plates of a line stand, mm from their places, as they were marked, drilled and fixed. */
  function place(line: Line, axis: number, drawn: Drawn, by: Marking, causes: Causes) {
    const [marking, drilling, slack, size] = [
      drawn.marking[axis]!,
      drawn.drilling[axis]!,
      drawn.slack[axis]!,
      drawn.size[axis]!,
    ]
    let walk = 0
    for (const n of line) {
      const mark = causes.marking * marking[n]!
      walk += mark
      stands[n] = (by === 'running' ? mark : walk) + causes.drilling * drilling[n]! + causes.slack * slack[n]!
      grown[n] = causes.size * sizes[n]! * size[n]!
    }
  }
  let known: { drawn?: Drawn, share: number, worst: number, need: number } = { share: 0, worst: 0, need: 0 }
  /** The worst step between faces; of one drawn wall it is the same however it was marked. */
  function worstStep(drawn: Drawn, share: number): { worst: number, need: number } {
    if (known.drawn === drawn && known.share === share) return known
    const { least, most } = reaches[2]!
    let [worst, need] = [0, 0]
    for (let n = 0; n < screens.length; n++) stands[n] = share * (face[n]! + sigma[n]! * drawn.face[n]!)
    for (let k = 0; k < seams.length; k++) {
      const [a, b] = [from[k]!, to[k]!]
      const left = (stands[a]! + least[a]! - stands[b]! - most[b]!) / seams[k]!
      if (left > worst) worst = left
      const middles = (least[a]! + most[a]! - least[b]! - most[b]!) / 2
      const wants = (stands[a]! - stands[b]! + middles - tolerance * seams[k]!) / 2
      if (wants > need) need = wants
    }
    known = { drawn, share, worst, need }
    return known
  }

  return (drawn, by, causes) => {
    const steps = causes.faces > 0 ? worstStep(drawn, causes.faces) : { worst: 0, need: 0 }
    const needs: Outcome['needs'] = [0, 0, steps.need]
    let { worst } = steps
    let overlaps = false
    for (const { axis, lines, target } of along) {
      const { least, most } = reaches[axis]!
      for (const line of lines) {
        place(line, axis, drawn, by, causes)
        for (let i = 0; i < line.length; i++) {
          const a = line[i]!
          // How much longer the cases between two middles are than on the sheet, each end with its half.
          let longer = 0
          for (let j = i + 1; j < line.length; j++) {
            const b = line[j]!
            longer += (grown[line[j - 1]!]! + grown[b]!) / 2
            const apart = stands[b]! - stands[a]! - longer
            const wide = (apart + least[b]! - most[a]!) / (j - i)
            const tight = -(apart + most[b]! - least[a]!) / (j - i)
            if (wide > worst) worst = wide
            if (tight > worst) worst = tight
            if (tight > target + 1e-12) overlaps = true
            const middles = (least[b]! + most[b]! - least[a]! - most[a]!) / 2
            const wants = (Math.abs(apart + middles) - tolerance * (j - i)) / 2
            if (wants > needs[axis]) needs[axis] = wants
          }
        }
      }
    }
    return { worst, overlaps, needs }
  }
}

/** How far the wall's face stands out behind a screen, as it may be, mm. */
const outOf = ({ face }: StudiedScreen, share: number) => (face?.out ?? 0) + (face?.sigma ?? 0) * share

/** How a drawn wall comes out, marked so, of these causes. */
export type Tried = (drawn: Drawn, by: Marking, causes: Causes) => Pick<Outcome, 'worst' | 'overlaps'>

/** Where the plates of a drawn wall stand along one axis, mm from their places: each line of them as it was marked. */
function standsOf(lines: Line[], axis: number, drawn: Drawn, by: Marking, causes: Causes): Float64Array {
  const [marking, drilling, slack] = [drawn.marking[axis]!, drawn.drilling[axis]!, drawn.slack[axis]!]
  const stands = drilling.map((drilled, n) => causes.drilling * drilled + causes.slack * slack[n]!)
  const marks = marking.map(mark => causes.marking * mark)
  if (by === 'mark-to-mark') {
    for (const line of lines) for (let k = 1; k < line.length; k++) marks[line[k]!]! += marks[line[k - 1]!]!
  }
  return stands.map((stand, n) => stand + marks[n]!)
}

/**
 * How a drawn wall comes out once a crew has read its seams and turned its adjusters in two rounds: in steps that can
 * be set, which slip, by a gauge that is a little out. Steps count only where the faces were surveyed.
 */
export function turnedTrialOf({ screens, tolerance, turning }: StudiedWall & { turning: Turning }): Tried {
  const { rows, columns } = linesOf(screens)
  const up = columns.map(line => [...line].reverse())
  const [gaps, steps] = [new Float64Array(turning.plane.rows.length), new Float64Array(turning.faces?.rows.length ?? 0)]
  return (drawn, by, causes) => {
    const { squareness = 0, slip = 0, gauge = 0 } = causes
    const { turned } = drawn
    const grown = (axis: number) => drawn.size[axis]!.map((share, n) => causes.size * screens[n]!.size * share)
    const bent = (of: Float64Array) => of.map((share, n) => squareness * turning.screens[n]!.square * share)
    const hung: Hung = {
      x: standsOf(rows, 0, drawn, by, causes), y: standsOf(up, 1, drawn, by, causes), long: grown(0), tall: grown(1),
      out: drawn.face.map((share, n) => causes.faces * outOf(screens[n]!, share)),
      rack: bent(turned!.rack), roll: bent(turned!.roll),
    }
    const crew = { slip, gauge, tolerance }
    planeOff(turning, hung, gaps)
    turnedTwice(turning.plane, gaps, turned!.plane, crew)
    const plane = worstOf(turning.plane, gaps, true)
    if (!turning.faces) return plane
    facesOff(turning.faces, hung, steps)
    turnedTwice(turning.faces, steps, turned!.faces!, crew)
    return { ...plane, worst: Math.max(plane.worst, worstOf(turning.faces, steps, false).worst) }
  }
}
