import type { Rect } from '../geometry'
import { backDepth, faceDepth, type Display, type Mount, type ScreenArray, type Wall } from '../job'
import type { MountedCell } from './position'

/** A screen clears its neighbours' faces by so much as it passes them, mm. */
const PASS = 10
/** What stands out of the wall, so that a screen cannot be lifted past it. */
const IN_FRONT = ['duct', 'sprinkler', 'ceiling-line', 'furniture', 'counter']

/** A screen that has less free above it than it is lifted to hook on, mm. */
export interface TightLift {
  cell: MountedCell
  lift: number
  free: number
  /** The screen above it; absent where something fixed is. */
  upper?: MountedCell
  /** How far its mount comes out, and how far it would have to, to be lifted in front of the screen above. */
  out: number
  needed: number
}

const overlapsAlong = (a: Rect, b: Rect) => a.x < b.x + b.width && b.x < a.x + a.width

/** The screens of each row of an array. */
function byRow(cells: MountedCell[]): Map<number, MountedCell[]> {
  const rows = new Map<number, MountedCell[]>()
  for (const cell of cells) {
    const row = rows.get(cell.row)
    if (row) row.push(cell)
    else rows.set(cell.row, [cell])
  }
  return rows
}

/** What is next above a screen: how much free height there is, and whether it is a screen of the same array. */
function above(
  cell: MountedCell,
  rows: Map<number, MountedCell[]>,
  { height, features = [] }: Wall,
): { free: number, cell?: MountedCell } {
  const top = cell.outer.y + cell.outer.height
  let screens: { free: number, cell: MountedCell }[] = []
  for (let row = cell.row - 1; row > 0 && screens.length === 0; row--) {
    screens = (rows.get(row) ?? [])
      .filter(other => overlapsAlong(other.outer, cell.outer))
      .map(other => ({ free: other.outer.y - top, cell: other }))
  }
  const over = features.filter(feature => overlapsAlong(feature, cell.outer))
  const things = [
    ...over.filter(({ kind, y }) => IN_FRONT.includes(kind) && y >= top - 1e-9).map(({ y }) => ({ free: y - top })),
    ...over
      .filter(({ kind, y, height: tall }) => kind === 'recess' && y < top && y + tall > cell.outer.y)
      .map(({ y, height: tall }) => ({ free: y + tall - top })),
  ]
  return [{ free: height - top }, ...things, ...screens].reduce((least, one) => (one.free < least.free ? one : least))
}

/** The screens of an array that cannot simply be lifted on to their hooks, with what is above each. */
export function tightLifts(
  array: ScreenArray,
  cells: MountedCell[],
  mountOf: (cell: MountedCell) => Mount,
  displayOf: (cell: MountedCell) => Display | undefined,
  wall: Wall,
): TightLift[] {
  const rows = byRow(cells)
  return cells.flatMap((cell): TightLift[] => {
    const mount = mountOf(cell)
    if (!mount.lift) return []
    const { free, cell: upper } = above(cell, rows, wall)
    if (free >= mount.lift - 1e-9) return []
    const needed = upper ? faceDepth(array, mountOf(upper), { depth: displayOf(upper)?.depth ?? 0 }) + PASS : 0
    return [{ cell, lift: mount.lift, free, out: backDepth(array, mount, 'service'), needed, ...(upper && { upper }) }]
  })
}

/** Whether a screen can be lifted in front of the one above it, its mount pulled out. */
export const passes = ({ out, needed }: TightLift): boolean => out >= needed
