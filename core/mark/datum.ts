import type { ArrayPlan } from '../mount'
import type { Rules, Wall } from '../job'
import { centreOf } from '../geometry'

/** Where running dimensions along the wall start: x on the wall, mm, and what a person finds there. */
export interface Datum { x: number, label: string }

/** The height that marks are taken up and down from, mm above the floor, and why it is there. */
export interface LevelLine { y: number, label: string }

/** The wall's own datum, or its left edge. */
export function datumOf(wall: Wall): Datum {
  return wall.datum ?? { x: 0, label: 'left edge of the wall' }
}

/**
 * The level line: the height that was typed for this wall, or by the house rule: the centre line of
 * the top row for a grid, the bottom edge of the display for a single sign.
 */
export function levelLineOf(wall: Wall, arrays: ArrayPlan[], rules: Rules): LevelLine | undefined {
  if (wall.levelLine !== undefined) return { y: wall.levelLine, label: 'as chosen for this wall' }
  const first = arrays[0]
  const top = first?.positions[0]
  if (!first || !top) return undefined
  const { heightDatum = 'by-kind' } = rules
  const rule = heightDatum !== 'by-kind' ? heightDatum : (first.positions.length > 1 ? 'top-row-centre' : 'bottom-edge')
  return rule === 'top-row-centre'
    ? { y: centreOf(top.outer).y, label: `centre line of the top row of ${first.name}` }
    : { y: first.outline.y, label: `bottom edge of ${first.name}` }
}
