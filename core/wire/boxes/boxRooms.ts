import type { Interval, Point, Rect } from '../../geometry'
import type { BoxModel, Wall, WallBox } from '../../job'
import type { Bay } from '../bays'
import type { BoxPlan } from './boxes'
import { around, FURNITURE } from './obstacles'
import { cutoutAt } from './place'
import type { Screen } from '../screens'
import { screenLabel } from '../../job/screenLabel'

/** A cut-out keeps so far inside the edges of the display that hides it, mm. */
const HIDDEN = 15
/** The usual height of the top of an outlet where the wall has none to be in line with, mm above the floor. */
const OUTLET_TOP = 450
/** A box that furniture hides stands so far below its top, mm. */
const BELOW_TOP = 30

/**
 * Where a box is wanted and may be: rectangles of which one has to hold it, each in a bay; on a solid wall they are in
 * none.
 */
export interface Placing { wanted: Point, rooms: Room[], hidden: string }
export interface Room extends Rect { bay?: number }

/** The top of the outlets that are on a wall, by which a new one stands in line. */
function outletTop(wall: Wall): number {
  const tops = (wall.features ?? []).filter(({ kind }) => kind === 'outlet').map(({ y, height }) => y + height)
  return tops.length > 0 ? Math.max(...tops) : OUTLET_TOP
}

/** The bays of a wall as they are between two heights; the same ones in the same order at every height. */
export type BaysIn = (heights: Interval) => Bay[]
export const atHeight = (y: number): Interval => ({ from: y, to: y })
const heightsOf = ({ y, height }: Rect): Interval => ({ from: y, to: y + height })

/**
 * The rooms of a wall between two heights: its bays, or all of it where it is solid.
 *
 * @param at the heights at which the studs beside them count; those of the rooms unless said
 */
function roomsIn(wall: Wall, baysIn: BaysIn, solid: boolean, within: Rect, at = heightsOf(within)): Room[] {
  const { x, y, width, height } = within
  const stretches = solid ? [{ from: 0, to: wall.width }] : baysIn(at)
  return stretches.flatMap((bay, n) => {
    const [left, right] = [Math.max(bay.from, x), Math.min(bay.to, x + width)]
    return right > left ? [{ x: left, y, width: right - left, height, ...!solid && { bay: n } }] : []
  })
}

/** Where an upper box may be: behind its display, out of sight. One that a person put somewhere is at that height. */
export function behindDisplay(
  box: WallBox, { cutout, surface }: BoxModel, screen: Screen | undefined, wall: Wall, baysIn: BaysIn,
): Placing | undefined {
  if (!screen) return undefined
  const { outer, row, column } = screen
  const own = box.x !== undefined && box.y !== undefined
    ? heightsOf(cutoutAt({ x: box.x, y: box.y }, cutout))
    : undefined
  return {
    wanted: { x: outer.x + outer.width / 2, y: outer.y + outer.height / 2 },
    hidden: `behind ${screenLabel({ row, column })}`,
    rooms: roomsIn(wall, baysIn, surface === true, around(outer, -HIDDEN), own),
  }
}

/** Which bay a place is in, from the left; -1 where it is in none. */
export const indexAt = (bays: Bay[], x: number): number => bays.findIndex(({ from, to }) => x >= from && x <= to)

/** Furniture before a place, that hides what is lower than its top. */
export const furnitureAt = (wall: Wall, x: number) =>
  (wall.features ?? []).filter(
    feature => FURNITURE.has(feature.kind) && feature.x <= x && x <= feature.x + feature.width,
  )

/**
 * Where a lower box may be: in the bay of the upper one, its top in line with the outlets, or lower where furniture
 * then hides it.
 */
export function under(upper: Point | undefined, model: BoxModel, wall: Wall, baysIn: BaysIn): Placing {
  const solid = model.surface === true
  const x = upper?.x ?? wall.width / 2
  const hiding = furnitureAt(wall, x).map(({ y, height }) => y + height - BELOW_TOP)
  const top = Math.min(outletTop(wall), ...hiding.filter(low => low >= model.cutout.height))
  const { height } = model.cutout
  const rooms = roomsIn(wall, baysIn, solid, { x: 0, y: Math.max(top - height, 0), width: wall.width, height })
  const bay = upper && !solid ? indexAt(baysIn(atHeight(upper.y)), upper.x) : undefined
  const own = bay === undefined ? rooms : rooms.filter(room => room.bay === bay)
  return {
    wanted: { x, y: top - model.cutout.height / 2 },
    rooms: own,
    hidden: upper ? 'in the stud bay of the box above it' : 'at the height of the outlets',
  }
}

/** The bay that a place is in, by its members. */
export const bayAt = (bays: Bay[], x: number): BoxPlan['bay'] => {
  const bay = bays[indexAt(bays, x)]
  return [bay?.left, bay?.right]
}
