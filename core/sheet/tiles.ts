import type { Rect } from '../geometry'
import { element, group, line, type Shape } from '../svg'
import { INK, label } from './text'

/**
 * One page's part of a drawing that is larger than a page: the window on paper, and the drawing's own corner that
 * stands at the window's.
 */
export interface Tile { name: string, window: Rect, from: { x: number, y: number } }

/** How far neighbouring tiles overlap, mm of paper. */
export const OVERLAP = 15
const CROSS = 6

/** Windows along one axis, each beginning so far into the drawing. */
const startsAlong = (size: number, window: number): number[] =>
  Array.from(
    { length: size <= window ? 1 : Math.ceil((size - OVERLAP) / (window - OVERLAP)) },
    (_, n) => n * (window - OVERLAP),
  )

/**
 * The tiles of a drawing of a size on paper, row by row from its top left corner; columns are letters, rows figures.
 */
export function tilesOf(size: { width: number, height: number }, window: Rect): Tile[] {
  const [across, down] = [startsAlong(size.width, window.width), startsAlong(size.height, window.height)]
  return down.flatMap((y, row) =>
    across.map((x, column) => ({
      name:
        across.length * down.length === 1
          ? ''
          : `${String.fromCharCode(65 + (column % 26))}${column >= 26 ? Math.floor(column / 26) : ''}${row + 1}`,
      window: {
        ...window,
        width: Math.min(window.width, size.width - x),
        height: Math.min(window.height, size.height - y),
      },
      from: { x, y },
    })),
  )
}

const THIN = { 'stroke': INK, 'stroke-width': 0.15 }

/**
 * Crosses by which neighbouring tiles are laid on each other: in the middle of every overlap, at the same place of the
 * drawing on each.
 */
function crosses({ window, from }: Tile, size: { width: number, height: number }, whole: Rect): Shape[] {
  const at = (length: number, step: number) => [
    OVERLAP / 2,
    ...startsAlong(length, step)
      .slice(1)
      .map(start => start + OVERLAP / 2),
    length - OVERLAP / 2,
  ]
  const places = at(size.height, whole.height).flatMap(y =>
    at(size.width, whole.width).map(x => ({ x: x - from.x + window.x, y: y - from.y + window.y })),
  )
  return places
    .filter(
      ({ x, y }) => x >= window.x && x <= window.x + window.width && y >= window.y && y <= window.y + window.height,
    )
    .map(({ x, y }) =>
      group({}, line(x - CROSS / 2, y, x + CROSS / 2, y, THIN), line(x, y - CROSS / 2, x, y + CROSS / 2, THIN)),
    )
}

/**
 * One tile on its page: what its window shows of the drawing, the crosses, and which tiles lie beside it.
 *
 * @param drawing drawn as if from the paper's own corner, mm of paper
 * @param whole the window of a full tile
 */
export function drawTile(tile: Tile, drawing: Shape, size: { width: number, height: number }, whole: Rect): Shape {
  const { window: { x, y, width, height }, from, name } = tile
  return group({},
    element('svg', { x, y, width, height, viewBox: `${from.x} ${from.y} ${width} ${height}` }, drawing),
    ...name ? crosses(tile, size, whole) : [],
    name ? label(`Tile ${name}: align the crosses of neighbouring tiles, which overlap.`, x, y - 1.2, 2.6) : '')
}
