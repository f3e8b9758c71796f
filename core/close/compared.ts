import type { Point } from '../geometry'
import { authorText, isAt, type AsBuilt, type MadeHole } from '../log'
import type { ArrayPlan } from '../mount'
import type { ClosingRecord } from './record'
import { screenLabel } from '../job/screenLabel'

/** A hole as it was issued and as it was made; how far it is off, mm. */
export interface HoleCompared {
  id: string
  label: string
  planned: Point
  made?: Point & Pick<MadeHole, 'result' | 'by' | 'at'>
  off?: number
}

/** A screen's middle as it was issued and as its holes put it, mm; absent where none of its holes is made. */
export interface CentreCompared { screen: string, label: string, planned: Point, made?: Point, off?: number }

/** The end of a seam as it is to be and as it was read last, mm; a step is to be nothing, a level is in mm/m. */
export interface SeamCompared {
  label: string
  array: string
  reads: 'gap' | 'step' | 'level'
  planned: number
  made: number
  off: number
  closed: boolean
}

/** A wall as it was built against what was issued. */
export interface Compared {
  holes: HoleCompared[]
  centres: CentreCompared[]
  seams: SeamCompared[]
  worst: { hole: number, centre: number, seam: number }
}

const LEVEL_WITHIN = 1
const said = (name: string) => name.toUpperCase().replace('C', ' C')
const distance = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y)
/**
 * A hole that was drilled anew because an earlier one missed lies so near its plan at the most to be the same one, mm.
 */
const NEAR = 60

/** Holes of the plan against those that were made for them: of several the one that holds, else the last. */
function holesOf(arrays: ArrayPlan[], { holes }: Pick<AsBuilt, 'holes'>): HoleCompared[] {
  return arrays.flatMap(({ positions }) =>
    positions.flatMap(({ row, column, holes: planned = [] }) =>
      planned.map(({ id, x, y, row: of, rank }): HoleCompared => {
        const candidates = holes.filter(each => each.hole === id)
        const made
          = candidates.find(each => each.result === 'hit' && distance(each, { x, y }) < NEAR)
            ?? candidates.find(each => isAt(each, { x, y }))
            ?? candidates.at(-1)
        return {
          id,
          label: `${screenLabel({ row, column })} ${of} ${rank}`,
          planned: { x, y },
          ...(made && {
            made: { x: made.x, y: made.y, result: made.result, by: authorText(made), at: made.at },
            off: distance(made, { x, y }),
          }),
        }
      }),
    ),
  )
}

/**
 * How a wall was built against what was issued: its holes, the middles that these give its screens, and its seams,
 * steps and levels as they were read last.
 *
 * @param arrays as they were issued, or as they are planned where nothing was
 * @param tolerance within which a seam is closed, mm
 */
export function comparedWith(
  arrays: ArrayPlan[],
  built: Pick<AsBuilt, 'holes'>,
  { seams }: Pick<ClosingRecord, 'seams'>,
  gaps: Map<string, Point>,
  tolerance: number,
): Compared {
  const holes = holesOf(arrays, built)
  const byId = new Map(holes.map(hole => [hole.id, hole]))
  const centres = arrays.flatMap(({ positions }) =>
    positions.map(({ id, row, column, outer, holes: planned = [] }): CentreCompared => {
      const at = { x: outer.x + outer.width / 2, y: outer.y + outer.height / 2 }
      const hit = planned.flatMap(({ id }) => (byId.get(id)?.made?.result === 'hit' ? [byId.get(id)!] : []))
      if (hit.length === 0) return { screen: id, label: screenLabel({ row, column }), planned: at }
      const shift = (axis: 'x' | 'y') =>
        hit.reduce((sum, { planned, made }) => sum + made![axis] - planned[axis], 0) / hit.length
      const made = { x: at.x + shift('x'), y: at.y + shift('y') }
      return { screen: id, label: screenLabel({ row, column }), planned: at, made, off: distance(made, at) }
    }),
  )
  const last = new Map(seams.map(entry => [entry.array, entry]))
  const read = [...last.values()].flatMap(({ array, gaps: read = [], steps = [], rolls = [] }): SeamCompared[] => {
    const target = gaps.get(array) ?? { x: 0, y: 0 }
    const one = (
      label: string,
      reads: SeamCompared['reads'],
      planned: number,
      made: number,
      within: number,
    ): SeamCompared => ({
      label,
      array,
      reads,
      planned,
      made,
      off: made - planned,
      closed: Math.abs(made - planned) <= within + 1e-6,
    })
    const where = ({ between, end }: { between: string[], end: string }) => `${between.map(said).join(' | ')}, ${end}`
    return [
      ...read.map(gap =>
        one(where(gap), 'gap', gap.end === 'top' || gap.end === 'bottom' ? target.x : target.y, gap.mm, tolerance),
      ),
      ...steps.map(step => one(where(step), 'step', 0, step.mm, tolerance)),
      ...rolls.map(({ screen, mmPerM }) => one(said(screen), 'level', 0, mmPerM, LEVEL_WITHIN)),
    ]
  })
  const most = (values: (number | undefined)[]) => Math.max(0, ...values.map(value => Math.abs(value ?? 0)))
  return {
    holes,
    centres,
    seams: read,
    worst: {
      hole: most(holes.map(({ off }) => off)),
      centre: most(centres.map(({ off }) => off)),
      seam: most(read.filter(({ reads }) => reads !== 'level').map(({ off }) => off)),
    },
  }
}
