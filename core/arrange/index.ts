import type { Finding } from '../finding'
import type { Point, Rect } from '../geometry'
import type { Display, ScreenArray, Wall } from '../job'
import { fitFindings } from './fit'
import { followFindings, placeOf } from './follow'
import { cellsOf, imageGapOf, type Cell } from './grid'
import { orientDisplay, type OrientedDisplay } from './orientation'
import { outlineOf } from './outline'

export * from './orientation'
export * from './follow'
export * from './outline'
export * from './grid'
export * from './pixels'
export * from './testPicture'
export * from './viewing'
export * from './totals'
export { sizeFaults } from './fit'

/** An array laid out on its wall. */
export interface Arrangement {
  display: OrientedDisplay
  outline: Rect
  imageGap: Point
  cells: Cell[]
  findings: Finding[]
}

/** Lays an array of one model of display out on a wall. */
export function arrange(array: ScreenArray, model: Display, wall: Wall): Arrangement {
  const display = orientDisplay(model, array.orientation)
  const placed = { ...array, at: placeOf(array, wall) }
  const outline = outlineOf(placed, display)
  return {
    display,
    outline,
    imageGap: imageGapOf(array, display),
    cells: cellsOf(placed, display),
    findings: [...followFindings(array, wall), ...fitFindings(array, outline, wall)],
  }
}
