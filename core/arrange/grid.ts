import type { Point, Rect } from '../geometry'
import type { ScreenArray } from '../job'
import type { OrientedDisplay } from './orientation'
import { outlineOf } from './outline'

/** One screen's place in a grid. Row 1 is the top row, column 1 the left one. */
export interface Cell {
  row: number
  column: number
  /** The case. */
  outer: Rect
  /** The picture area. */
  picture: Rect
  /** Centre of the display's mounting pattern. */
  pattern: Point
}

function cellAt(row: number, column: number, outer: Rect, display: OrientedDisplay): Cell {
  return {
    row,
    column,
    outer,
    picture: { x: outer.x + display.bezel.left, y: outer.y + display.bezel.bottom, ...display.picture },
    pattern: { x: outer.x + outer.width / 2 + display.pattern.x, y: outer.y + outer.height / 2 + display.pattern.y },
  }
}

/** Every screen of an array, row by row from the top, left to right. */
export function cellsOf(array: ScreenArray, display: OrientedDisplay): Cell[] {
  const outline = outlineOf(array, display)
  const pitch = { x: display.width + array.gap.x, y: display.height + array.gap.y }
  return Array.from({ length: array.rows * array.columns }, (_, index) => {
    const row = Math.floor(index / array.columns)
    const column = index % array.columns
    const outer = {
      x: outline.x + column * pitch.x,
      y: outline.y + (array.rows - 1 - row) * pitch.y,
      width: display.width,
      height: display.height,
    }
    return cellAt(row + 1, column + 1, outer, display)
  })
}

/** Clear distance between the pictures of neighbours: one bezel, the gap, the other bezel, mm. */
export function imageGapOf(array: ScreenArray, { bezel }: OrientedDisplay): Point {
  return { x: bezel.right + array.gap.x + bezel.left, y: bezel.bottom + array.gap.y + bezel.top }
}
