import type { Alignment, ScreenArray } from '../job'
import { cellAt, type Hung } from './cell'
import type { Layout } from './grid'
import type { OrientedDisplay } from './orientation'

/** From a display's lower or left edge to what it is put in line by, mm. */
function lineAt({ width, height, bezel, picture }: OrientedDisplay, align: Alignment, upright: boolean): number {
  switch (align) {
    case 'case-bottom':
    case 'case-left': return 0
    case 'case-top': return height
    case 'case-right': return width
    case 'picture-bottom': return bezel.bottom
    case 'picture-left': return bezel.left
    case 'picture-top': return height - bezel.top
    case 'picture-right': return width - bezel.right
    case 'picture-centre': return upright ? bezel.left + picture.width / 2 : bezel.bottom + picture.height / 2
  }
}

/**
 * One row or one column of displays each of its own size: the gap is between neighbouring cases,
 * and an edge or the middle of case or picture is in one line.
 *
 * @example
 * // cases 576.2 and 425 high, pictures' lower edges 0.5 and 13.5 up, in line by them:
 * // the second hangs 13 lower than the first
 */
export function layOutLine({ rows, gap, align }: ScreenArray & { align: Alignment }, hung: Hung[]): Layout {
  const upright = rows > 1
  const below = hung.map(({ display }) => lineAt(display, align, upright))
  const line = Math.max(0, ...below)
  const along = hung.map(({ display }) => upright ? display.height : display.width)
  const total = along.reduce((sum, size) => sum + size, 0) + Math.max(hung.length - 1, 0) * (upright ? gap.y : gap.x)
  let at = 0
  const cells = hung.map((screen, n) => {
    const start = at
    at += along[n]! + (upright ? gap.y : gap.x)
    const across = line - below[n]!
    return upright ? cellAt(screen, across, total - start - along[n]!) : cellAt(screen, start, across)
  })
  const wide = Math.max(
    0,
    ...hung.map(({ display }, n) => line - below[n]! + (upright ? display.width : display.height)),
  )
  return upright ? { width: wide, height: total, cells } : { width: total, height: wide, cells }
}
