import type { ArrayPlan } from '../mount'
import { saidToday, type Rules, type Wall } from '../job'
import { centreOf } from '../geometry'
import { turnOf, type Turn } from './level'

/** Where running dimensions along the wall start: x on the wall, mm, and what a person finds there. */
export interface Datum { x: number, label: string }

/**
 * The line that marks are taken up and down from, mm above the floor, and why it is there; where it runs with a line of
 * the building it is so high at the point about which everything is turned.
 */
export interface LevelLine { y: number, label: string, turn?: Turn }

/** The wall's own datum, or its left edge. */
export function datumOf(wall: Wall): Datum {
  return wall.datum ? { ...wall.datum, label: saidToday(wall.datum.label) } : { x: 0, label: 'left edge of the wall' }
}

function heightOf(wall: Wall, arrays: ArrayPlan[], rules: Rules): LevelLine | undefined {
  if (wall.levelLine !== undefined) return { y: wall.levelLine, label: 'as set for this wall' }
  const first = arrays[0]
  const top = first?.positions[0]
  if (!first || !top) return undefined
  const { heightDatum = 'by-kind' } = rules
  const rule = heightDatum !== 'by-kind' ? heightDatum : (first.positions.length > 1 ? 'top-row-centre' : 'bottom-edge')
  return rule === 'top-row-centre'
    ? { y: centreOf(top.outer).y, label: `centre line of the top row of ${first.name}` }
    : { y: first.outline.y, label: `bottom edge of ${first.name}` }
}

/**
 * The level line: the height that was typed for this wall, or by the house rule: the centre line of
 * the top row for a grid, the bottom edge of the display for a single sign. True to gravity, or with a line of the
 * building where the house rule says so.
 */
export function levelLineOf(wall: Wall, arrays: ArrayPlan[], rules: Rules): LevelLine | undefined {
  const line = heightOf(wall, arrays, rules)
  const turn = line && turnOf(wall, arrays, line.y, rules)
  return turn ? { ...line, turn } : line
}
