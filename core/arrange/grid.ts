import type { Point } from '../geometry'
import type { ScreenArray } from '../job'
import { cellAt, type Cell, type Hung } from './cell'
import type { OrientedDisplay } from './orientation'

/** Run of `count` cases of one size with a gap between neighbours: count·size + (count − 1)·gap, mm. */
export function run(count: number, size: number, gap: number): number {
  return count * size + (count - 1) * gap
}

/** Screens as they lie to each other, with the lower left corner of their outline at 0, 0. */
export interface Layout { width: number, height: number, cells: Cell[] }

/**
 * A grid: every cell as large as the array's own display, one gap from the next; a screen of
 * another size hangs in the middle of its cell.
 */
export function layOutGrid(
  { rows, columns, gap }: ScreenArray,
  { width, height }: OrientedDisplay,
  hung: Hung[],
): Layout {
  const pitch = { x: width + gap.x, y: height + gap.y }
  return {
    width: run(columns, width, gap.x),
    height: run(rows, height, gap.y),
    cells: hung.map(screen =>
      cellAt(
        screen,
        (screen.column - 1) * pitch.x + (width - screen.display.width) / 2,
        (rows - screen.row) * pitch.y + (height - screen.display.height) / 2,
      ),
    ),
  }
}

/** Clear distance between the pictures of neighbours: one bezel, the gap, the other bezel, mm. */
export function imageGapOf({ gap }: Pick<ScreenArray, 'gap'>, { bezel }: OrientedDisplay): Point {
  return { x: bezel.right + gap.x + bezel.left, y: bezel.bottom + gap.y + bezel.top }
}
