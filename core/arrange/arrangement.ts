import type { Finding } from '../finding'
import type { Point, Rect } from '../geometry'
import type { Display, Placing, ScreenArray, Wall } from '../job'
import { hungIn, movedBy, type Cell } from './cell'
import { cellFindings } from './cellFindings'
import { fitFindings } from './fit'
import { followFindings, placeOf } from './follow'
import { imageGapOf, layOutGrid } from './grid'
import { layOutLine } from './line'
import { orientDisplay, type OrientedDisplay } from './orientation'
import { outlineOf } from './outline'
import { coverFindings } from './cover'

/** An array laid out on its wall. */
export interface Arrangement {
  /** The array's own display as it hangs. */
  display: OrientedDisplay
  /** Where it is placed: as it was put, or by the rule that it follows. */
  at: Placing
  outline: Rect
  /** Between the pictures of neighbours of the array's own model; in a line, of the first two. */
  imageGap: Point
  cells: Cell[]
  findings: Finding[]
}

/**
 * Lays an array out on a wall, shifted from its place by so much; undefined where the catalogue does
 * not have its display.
 */
export function arrange(
  array: ScreenArray,
  displays: Display[],
  wall: Wall,
  shift: Point = { x: 0, y: 0 },
): Arrangement | undefined {
  const model = displays.find(({ id }) => id === array.display)
  if (!model) return undefined
  const { align } = array
  const display = orientDisplay(model, array.orientation)
  const hung = hungIn(array, model, displays)
  const layout = align === undefined ? layOutGrid(array, display, hung) : layOutLine({ ...array, align }, hung)
  const at = placeOf(array, wall)
  const placed = outlineOf(at, layout)
  const outline = { ...placed, x: placed.x + shift.x, y: placed.y + shift.y }
  const cells = layout.cells.map(cell => movedBy(cell, outline.x, outline.y))
  return {
    display,
    at,
    outline,
    cells,
    imageGap: align === undefined ? imageGapOf(array, display) : (lineGap(cells) ?? imageGapOf(array, display)),
    findings: [
      ...followFindings(array, wall),
      ...fitFindings(array, outline, wall),
      ...cellFindings(array, display, cells),
      ...coverFindings(array, cells, wall),
    ],
  }
}

/** Between the pictures of the first two screens of a line. */
function lineGap([first, second]: Cell[]): Point | undefined {
  if (!first || !second) return undefined
  return {
    x: Math.max(second.picture.x - first.picture.x - first.picture.width, 0),
    y: Math.max(first.picture.y - second.picture.y - second.picture.height, 0),
  }
}
