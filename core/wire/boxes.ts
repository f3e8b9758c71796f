import type { Point, Rect } from '../geometry'
import { coveringOf, type BoxModel, type Catalogue, type Feature, type Wall, type WallBox } from '../job'
import type { ArrayPlan, Position } from '../mount'
import { isFramed, unsurveyedIn, type Member } from '../survey'
import { words, type Text } from '../units'
import { baysOf, type Bay } from './bays'
import { cutoutAt, inTheWay, nearestPlace, type Obstacle } from './place'

/** A box in its place, or, where none will do, where it was wanted. */
export interface BoxPlan {
  id: string
  kind: WallBox['kind']
  model: string
  x: number
  y: number
  for: string[]
  /** The members left and right of its bay, by index; absent on a wall without framing, or at the wall's ends. */
  bay: [left: number | undefined, right: number | undefined]
  cutout: Rect
  byHand: boolean
  held: boolean
  /** Why it cannot stay where it is, or nowhere at all. */
  wrong: Text[]
  /** The nearest place that would do, where a person put it elsewhere. */
  nearest?: Point
}

/** A cut-out keeps so far inside the edges of the display that hides it, and clear of plate and features, mm. */
const HIDDEN = 15
const CLEAR = 10
/** Blocking between studs is as high as a stud is thick, mm. */
const BLOCKING = 38
/** The usual height of the top of an outlet where the wall has none to be in line with, mm above the floor. */
const OUTLET_TOP = 450
const FURNITURE = new Set(['counter', 'furniture'])
const THROUGH = new Set(['door', 'window'])

const isUpper = (kind: WallBox['kind']) => kind === 'power' || kind === 'kit-upper' || kind === 'pass-through'
const around = ({ x, y, width, height }: Rect, by: number): Rect => ({ x: x - by, y: y - by, width: width + 2 * by, height: height + 2 * by })
const nameOfFeature = ({ kind, id }: Feature) => `${kind.replaceAll('-', ' ')} ${id}`

/** Everything on and in a wall that a cut-out keeps clear of. */
function obstaclesOf(wall: Wall, arrays: ArrayPlan[]): Obstacle[] {
  return [
    ...arrays.flatMap(({ positions, strips }) => [
      ...positions.flatMap(({ plate, row, column }) => plate ? [{ ...around(plate.rect, CLEAR), name: `the plate of R${row} C${column}` }] : []),
      ...strips.map(strip => ({ ...around(strip.rect, CLEAR), name: strip.of === 'board' ? 'the board' : 'a rail' })),
    ]),
    ...(wall.features ?? []).filter(({ kind }) => !FURNITURE.has(kind)).map(feature => ({ ...around(feature, CLEAR), name: `the ${nameOfFeature(feature)}` })),
    ...(wall.blocking ?? []).filter(({ found }) => found).map(({ id, y }) => ({ x: 0, y: y - BLOCKING / 2 - CLEAR, width: wall.width, height: BLOCKING + 2 * CLEAR, name: `blocking ${id}` })),
  ]
}

/** The top of the outlets that are on a wall, by which a new one stands in line. */
function outletTop(wall: Wall): number {
  const tops = (wall.features ?? []).filter(({ kind }) => kind === 'outlet').map(({ y, height }) => y + height)
  return tops.length > 0 ? Math.max(...tops) : OUTLET_TOP
}

/** How deep the wall is behind its face where a box goes, mm; undefined where that is not known. */
export function cavityOf(wall: Wall): number | undefined {
  if (isFramed(wall)) return wall.structure.memberDepth
  const furring = wall.covering.find(({ material }) => material === 'furring')
  return furring ? furring.thickness : 0
}

/** What is wrong with a box in this wall wherever it goes: too deep, or its clamps do not take the covering. */
function unfitFor(model: BoxModel, wall: Wall): Text[] {
  if (model.surface) return []
  const covering = isFramed(wall) ? coveringOf(wall) : wall.covering.filter(({ material }) => material !== 'furring').reduce((sum, { thickness }) => sum + thickness, 0)
  const cavity = cavityOf(wall)
  const name = model.name ?? model.id
  return [
    ...cavity === undefined ? [words`how deep the wall is behind its covering is not known`] : [],
    ...cavity === 0 ? [words`the wall has no cavity: take a surface box`] : cavity !== undefined && model.depth > cavity + covering + 1e-9 ? [words`${name} is ${model.depth} deep, and the wall is ${cavity + covering} from its face to the back of the cavity`] : [],
    ...model.clamps && (covering < model.clamps.min - 1e-9 || covering > model.clamps.max + 1e-9) ? [words`${name} clamps ${model.clamps.min} to ${model.clamps.max} of covering, and there are ${covering}`] : [],
    ...(wall.fireRating ?? 0) > 0 ? [words`the wall is fire-rated: it is not cut without the approved seal`] : [],
  ]
}

/** The rectangles of which one has to hold a box: the bays, over the height in which it may be. */
function roomsFor(bays: Bay[], wall: Wall, from: number, to: number, solid: boolean): Rect[] {
  const stretches = solid ? [{ from: 0, to: wall.width }] : bays
  return stretches.map(bay => ({ x: bay.from, y: from, width: bay.to - bay.from, height: to - from }))
}
const within = (rooms: Rect[], { x, width }: Rect): Rect[] => rooms.flatMap((room) => {
  const [left, right] = [Math.max(room.x, x), Math.min(room.x + room.width, x + width)]
  return right > left ? [{ ...room, x: left, width: right - left }] : []
})

interface Placing { wanted: Point, rooms: Rect[], hidden: string }

/** Where an upper box may be: behind its display, out of sight. */
function behindDisplay(screens: Position[], wall: Wall, bays: Bay[], solid: boolean): Placing | undefined {
  const [screen] = screens
  if (!screen) return undefined
  const { outer } = screen
  const hiding = around(outer, -HIDDEN)
  return {
    wanted: { x: outer.x + outer.width / 2, y: outer.y + outer.height / 2 }, hidden: `behind R${screen.row} C${screen.column}`,
    rooms: within(roomsFor(bays, wall, hiding.y, hiding.y + hiding.height, solid), hiding),
  }
}

/** Where a lower box may be: in the bay of the upper one, its top in line with the outlets. */
function under(upper: BoxPlan | undefined, model: BoxModel, wall: Wall, bays: Bay[], solid: boolean): Placing {
  const top = outletTop(wall)
  const rooms = roomsFor(bays, wall, Math.max(top - model.cutout.height, 0), top, solid)
  const own = upper && !solid ? rooms.filter(({ x, width }) => upper.x >= x && upper.x <= x + width) : rooms
  return { wanted: { x: upper?.x ?? wall.width / 2, y: top - model.cutout.height / 2 }, rooms: own, hidden: upper ? 'in the bay of the box above it' : 'at the height of the outlets' }
}

/** The bay that a place is in. */
const bayAt = (bays: Bay[], x: number): BoxPlan['bay'] => {
  const bay = bays.find(({ from, to }) => x >= from && x <= to)
  return [bay?.left, bay?.right]
}

/** Names of what stands between a box and the place where it is wanted. */
function blockers(wanted: Point, model: BoxModel, rooms: Rect[], obstacles: Obstacle[], hidden: string): Text {
  const names = [...new Set(inTheWay(wanted, model.cutout, obstacles).map(({ name }) => name))]
  if (rooms.every(({ width }) => width < model.cutout.width)) return words`no bay ${hidden} is ${model.cutout.width} wide between its members`
  return names.length > 0 ? words`${names.join(' and ')} ${names.length === 1 ? 'stands' : 'stand'} in the way, and nothing beside is free` : words`nothing ${hidden} is free`
}

/**
 * The boxes of a wall in their places: upper ones behind their display, lower ones under them in the same bay, each as
 * near to where it is wanted as what stands in the way lets it. One that a person put somewhere stays there, and is
 * told what is wrong with that and the nearest place that would do.
 */
export function placeBoxes(wall: Wall, members: Member[], arrays: ArrayPlan[], { boxes: models = [] }: Catalogue): BoxPlan[] {
  const [bays, common] = [baysOf(wall, members), obstaclesOf(wall, arrays)]
  const screens = new Map(arrays.flatMap(({ positions }) => positions.map(position => [position.id, position] as const)))
  const isUnsurveyed = isFramed(wall) ? unsurveyedIn(wall) : () => false
  const placed: BoxPlan[] = []
  const through = (wall.features ?? []).filter(({ kind }) => THROUGH.has(kind)).map(feature => ({ ...feature, name: `the ${nameOfFeature(feature)}` }))
  /** What a box keeps clear of; each that is placed is one more. */
  const obstacles: Obstacle[] = [...common, ...through]
  const wanted = wall.boxes ?? []
  for (const box of [...wanted].sort((a, b) => Number(isUpper(b.kind)) - Number(isUpper(a.kind)))) {
    const model = models.find(({ id }) => id === box.model)
    if (!model) continue
    const solid = model.surface === true
    const upper = placed.find(other => isUpper(other.kind) && other.for.some(id => box.for.includes(id)))
    const served = box.for.flatMap(id => screens.get(id) ?? [])
    const placing = isUpper(box.kind) ? behindDisplay(served, wall, bays, solid) : under(upper, model, wall, bays, solid)
    const nearest = placing && nearestPlace(placing.wanted, model.cutout, placing.rooms, obstacles)
    const byHand = box.x !== undefined && box.y !== undefined
    const at = byHand ? { x: box.x!, y: box.y! } : nearest ?? placing?.wanted ?? { x: wall.width / 2, y: wall.height / 2 }
    const cutout = cutoutAt(at, model.cutout)
    const isIn = placing?.rooms.some(room => cutout.x >= room.x - 1e-6 && cutout.x + cutout.width <= room.x + room.width + 1e-6 && cutout.y >= room.y - 1e-6 && cutout.y + cutout.height <= room.y + room.height + 1e-6) ?? false
    const hit = inTheWay(at, model.cutout, obstacles)
    const wrong = [
      ...unfitFor(model, wall),
      ...!placing ? [words`the screen that it serves is not there`] : [],
      ...placing && !solid && isUnsurveyed({ from: cutout.x, to: cutout.x + cutout.width }) ? [words`no reading tells what stands behind its cut-out: survey there first`] : [],
      ...placing && !byHand && !nearest ? [blockers(placing.wanted, model, placing.rooms, obstacles, placing.hidden)] : [],
      ...placing && byHand && !isIn ? [words`its cut-out is not ${placing.hidden}, clear of the members`] : [],
      ...byHand && hit.length > 0 ? [words`${[...new Set(hit.map(({ name }) => name))].join(' and ')} ${hit.length === 1 ? 'stands' : 'stand'} in the way`] : [],
    ]
    placed.push({ id: box.id, kind: box.kind, model: box.model, ...at, for: box.for, bay: solid ? [undefined, undefined] : bayAt(bays, at.x), cutout, byHand, held: wrong.length === 0, wrong, ...byHand && wrong.length > 0 && nearest && { nearest } })
    obstacles.push({ ...around(cutout, CLEAR), name: `box ${box.id}` })
  }
  const order = new Map(wanted.map(({ id }, n) => [id, n]))
  return placed.sort((a, b) => order.get(a.id)! - order.get(b.id)!)
}
