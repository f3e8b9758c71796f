import { arrange } from '../arrange'
import type { Rect } from '../geometry'
import { arraysOf, type CellChoice, type Display, type Orientation, type ScreenArray, type Wall } from '../job'
import { arrayOf, holdPlace } from './array'
import { copyOf, fresh } from './fresh'

const outlineOf = (wall: Wall, array: ScreenArray, displays: Display[]): Rect =>
  arrange(array, displays, wall)?.outline ?? { x: 0, y: 0, width: 0, height: 0 }

/** Puts an array's lower left corner at a place; it follows nothing on that axis any more. */
function putAt(wall: Wall, array: ScreenArray, displays: Display[], to: { x?: number, y?: number }): void {
  const outline = outlineOf(wall, array, displays)
  for (const axis of ['x', 'y'] as const) {
    const wanted = to[axis]
    if (wanted === undefined || Math.abs(wanted - outline[axis]) < 1e-9) continue
    holdPlace(wall, array, axis)
    array.at[axis].value += wanted - outline[axis]
  }
}

/** How far from the array it came from a copy is put where the wall keeps no clearance, mm. */
const BESIDE = 100

/** Adds an array to the alternative that is shown; returns its id. */
export function addArray(wall: Wall, array: Omit<ScreenArray, 'id'>): string {
  const named = fresh(wall, array.name)
  wall.arrays.push({ ...array, ...named, ...wall.alternative !== undefined && { alternative: wall.alternative } })
  return named.id
}

/** Takes an array away. */
export function removeArray(wall: Wall, id: string): void {
  wall.arrays = wall.arrays.filter(array => array.id !== id)
}

/** Adds a copy of an array to its right, or to its left where there is no room; returns its id. */
export function duplicateArray(wall: Wall, id: string, displays: Display[]): string {
  const from = arrayOf(wall, id)
  const { x, width } = outlineOf(wall, from, displays)
  const between = wall.clearance ?? BESIDE
  // Holes that were placed manually are places on the wall, and stay with the array that they were put for.
  const { holes: _, ...copied } = copyOf(from)
  const added = addArray(wall, copied)
  const right = x + width + between
  putAt(wall, arrayOf(wall, added), displays, { x: right + width <= wall.width ? right : x - width - between })
  return added
}

const TURNED: Record<Orientation, Orientation> = {
  'landscape': 'landscape',
  'inverted': 'inverted',
  'portrait-cw': 'portrait-ccw',
  'portrait-ccw': 'portrait-cw',
}

/**
 * Turns an array over about the middle of the wall: its place, the order of its columns, the way portrait screens are
 * turned.
 */
export function mirrorArray(wall: Wall, id: string, displays: Display[]): void {
  const array = arrayOf(wall, id)
  const { x, width } = outlineOf(wall, array, displays)
  const column = (n: number) => array.columns + 1 - n
  array.orientation = TURNED[array.orientation]
  const turned = (cell: CellChoice): CellChoice => ({
    ...cell,
    column: column(cell.column),
    ...(cell.orientation && { orientation: TURNED[cell.orientation] }),
  })
  // In a row of unlike displays each keeps its model: where there was no choice the array's own stays.
  if (array.cells) array.cells = array.cells.map(turned)
  if (array.plates)
    array.plates = array.plates.map(plate => ({
      ...plate,
      column: column(plate.column),
      ...(plate.lateralShift !== undefined && { lateralShift: -plate.lateralShift }),
    }))
  delete array.holes
  if (array.align === 'case-left' || array.align === 'case-right')
    array.align = array.align === 'case-left' ? 'case-right' : 'case-left'
  else if (array.align === 'picture-left' || array.align === 'picture-right')
    array.align = array.align === 'picture-left' ? 'picture-right' : 'picture-left'
  putAt(wall, array, displays, { x: wall.width - x - width })
}

export type AlignEdge = 'left' | 'centre' | 'right' | 'top' | 'middle' | 'bottom'

/** Brings every other array into line with one, by an edge or the middle. */
export function alignArrays(wall: Wall, id: string, edge: AlignEdge, displays: Display[]): void {
  const to = outlineOf(wall, arrayOf(wall, id), displays)
  for (const array of arraysOf(wall)) {
    if (array.id === id) continue
    const { width, height } = outlineOf(wall, array, displays)
    const places: Record<AlignEdge, { x?: number, y?: number }> = {
      left: { x: to.x }, centre: { x: to.x + (to.width - width) / 2 }, right: { x: to.x + to.width - width },
      bottom: { y: to.y }, middle: { y: to.y + (to.height - height) / 2 }, top: { y: to.y + to.height - height },
    }
    putAt(wall, array, displays, places[edge])
  }
}

/**
 * Spreads the arrays evenly between the first and the last: the same clear distance between neighbours, or the same
 * from middle to middle.
 */
export function distributeArrays(wall: Wall, axis: 'x' | 'y', by: 'gaps' | 'middles', displays: Display[]): void {
  const size = axis === 'x' ? 'width' : 'height'
  const placed = arraysOf(wall)
    .map(array => ({ array, outline: outlineOf(wall, array, displays) }))
    .sort((a, b) => a.outline[axis] - b.outline[axis])
  const [first, last] = [placed[0], placed.at(-1)]
  if (!first || !last || placed.length < 3) return
  const middle = ({ outline }: typeof first) => outline[axis] + outline[size] / 2
  const step = (middle(last) - middle(first)) / (placed.length - 1)
  const sizes = placed.slice(0, -1).reduce((sum, { outline }) => sum + outline[size], 0)
  const clear = (last.outline[axis] - first.outline[axis] - sizes) / (placed.length - 1)
  let end = first.outline[axis] + first.outline[size]
  placed.slice(1, -1).forEach(({ array, outline }, n) => {
    const to = by === 'gaps' ? end + clear : middle(first) + (n + 1) * step - outline[size] / 2
    putAt(wall, array, displays, { [axis]: to })
    end = to + outline[size]
  })
}
