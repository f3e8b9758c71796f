import type { Interval, Point, Rect } from '../geometry'
import { itemName, type BoxModel, type Catalogue, type Rules, type Source, type Wall, type WallBox } from '../job'
import type { ArrayPlan } from '../mount'
import { chosenFigure } from '../rules'
import { isFramed, unsurveyedIn, type Member } from '../survey'
import { words, type Text } from '../units'
import { baysBetween, baysOf, type Bay } from './bays'
import { unfitFor } from './fit'
import { around, CLEAR, FURNITURE, obstaclesOf, BESIDE_FASTENER } from './obstacles'
import { cutoutAt, inTheWay, nearestPlace, type Obstacle } from './place'
import type { Screen } from './screens'
import { givesSignal, isFeed, placeOf } from './sources'
import { placeTogether, type Seeking } from './together'
import { mountKindOf } from '../mount/kinds'

/** A box in its place, or, where none will do, where it was wanted. */
export interface BoxPlan {
  id: string
  /** The number by which people call it. */
  number?: number
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
  /** What would cure that, where it is particular to how the display is carried. */
  cure?: Text
  /** What is doubtful about it. */
  doubts: Text[]
  /** What hides it. */
  hidden?: string
  /** The model of cable to it, where a person chose one. */
  cable?: string
  /** The nearest place that would do, where a person put it elsewhere. */
  nearest?: Point
}

/** A cut-out keeps so far inside the edges of the display that hides it, mm. */
const HIDDEN = 15
/** The usual height of the top of an outlet where the wall has none to be in line with, mm above the floor. */
const OUTLET_TOP = 450
/** A box that furniture hides stands so far below its top, mm. */
const BELOW_TOP = 30
/** How far in from the edge of a display that is pulled out a hand reaches, and how far out that must be, mm. */
const ARM = 600
const HAND = 200

export const isUpper = (kind: WallBox['kind']): boolean => kind === 'power' || kind === 'kit-upper' || kind === 'pass-through'
export const isSignal = (kind: WallBox['kind']): boolean => kind === 'pass-through'

/**
 * Where a box is wanted and may be: rectangles of which one has to hold it, each in a bay; on a solid wall they are in
 * none.
 */
interface Placing { wanted: Point, rooms: Room[], hidden: string }
interface Room extends Rect { bay?: number }

/** The top of the outlets that are on a wall, by which a new one stands in line. */
function outletTop(wall: Wall): number {
  const tops = (wall.features ?? []).filter(({ kind }) => kind === 'outlet').map(({ y, height }) => y + height)
  return tops.length > 0 ? Math.max(...tops) : OUTLET_TOP
}

/** The bays of a wall as they are between two heights; the same ones in the same order at every height. */
type BaysIn = (heights: Interval) => Bay[]
const atHeight = (y: number): Interval => ({ from: y, to: y })
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
function behindDisplay(
  box: WallBox, { cutout, surface }: BoxModel, screen: Screen | undefined, wall: Wall, baysIn: BaysIn,
): Placing | undefined {
  if (!screen) return undefined
  const { outer, row, column } = screen
  const own = box.x !== undefined && box.y !== undefined
    ? heightsOf(cutoutAt({ x: box.x, y: box.y }, cutout))
    : undefined
  return {
    wanted: { x: outer.x + outer.width / 2, y: outer.y + outer.height / 2 },
    hidden: `behind R${row} C${column}`,
    rooms: roomsIn(wall, baysIn, surface === true, around(outer, -HIDDEN), own),
  }
}

/** Which bay a place is in, from the left; -1 where it is in none. */
const indexAt = (bays: Bay[], x: number): number => bays.findIndex(({ from, to }) => x >= from && x <= to)

/** Furniture before a place, that hides what is lower than its top. */
const furnitureAt = (wall: Wall, x: number) => (wall.features ?? []).filter(feature => FURNITURE.has(feature.kind) && feature.x <= x && x <= feature.x + feature.width)

/**
 * Where a lower box may be: in the bay of the upper one, its top in line with the outlets, or lower where furniture
 * then hides it.
 */
function under(upper: Point | undefined, model: BoxModel, wall: Wall, baysIn: BaysIn): Placing {
  const solid = model.surface === true
  const x = upper?.x ?? wall.width / 2
  const hiding = furnitureAt(wall, x).map(({ y, height }) => y + height - BELOW_TOP)
  const top = Math.min(outletTop(wall), ...hiding.filter(low => low >= model.cutout.height))
  const { height } = model.cutout
  const rooms = roomsIn(wall, baysIn, solid, { x: 0, y: Math.max(top - height, 0), width: wall.width, height })
  const bay = upper && !solid ? indexAt(baysIn(atHeight(upper.y)), upper.x) : undefined
  const own = bay === undefined ? rooms : rooms.filter(room => room.bay === bay)
  return { wanted: { x, y: top - model.cutout.height / 2 }, rooms: own, hidden: upper ? 'in the stud bay of the box above it' : 'at the height of the outlets' }
}

/** What cures a box that does not take a backing board and the covering behind it together. */
const BOARD_CURE = words`Use a box that clamps board and covering together, or rails in place of the board in Mount.`

/** What is to be minded of a box that is cut into a backing board of so many mm. */
const boardDoubts = (board: number): Text[] => board > 0
  ? [words`its opening goes through the board: cut board and covering alike, ${BESIDE_FASTENER} or more from fasteners`]
  : []

/** The bay that a place is in, by its members. */
const bayAt = (bays: Bay[], x: number): BoxPlan['bay'] => {
  const bay = bays[indexAt(bays, x)]
  return [bay?.left, bay?.right]
}

/** Names of what stands between a box and the place where it is wanted. */
function blockers({ wanted, rooms, hidden }: Placing, model: BoxModel, obstacles: Obstacle[]): Text {
  const names = [...new Set(inTheWay(wanted, model.cutout, obstacles).map(({ name }) => name))]
  if (rooms.every(({ width }) => width < model.cutout.width)) return words`there is no space ${hidden} that is ${model.cutout.width} wide between studs`
  return names.length > 0 ? words`${names.join(' and ')} ${names.length === 1 ? 'is' : 'are'} in the way, and there is no other free space` : words`there is no free space ${hidden}`
}

/**
 * What of a screen's depth does not suit a box behind it: no room for what stands out of the wall, or no way for a hand
 * to it.
 */
function depthOf(screen: Screen | undefined, model: BoxModel, at: Point): Pick<BoxPlan, 'wrong' | 'doubts'> {
  if (!screen || screen.stowed === undefined || screen.service === undefined) return { wrong: [], doubts: [] }
  const { outer, stowed, service, mounting, array } = screen
  const proud = model.proud ?? (model.surface ? model.depth : 0)
  const plug = model.surface || model.cover ? 0 : array.behind?.plug ?? 0
  const inward = Math.min(at.x - outer.x, outer.x + outer.width - at.x, at.y - outer.y, outer.y + outer.height - at.y)
  const moves = service > stowed
  return {
    wrong: proud + plug > stowed + 1e-9 ? [words`it projects ${proud}${plug > 0 ? words` plus its plug ${plug}` : []}, but there is only ${stowed} behind the stowed display`] : [],
    doubts: !moves
      ? [words`behind a ${mountKindOf(mounting!).staying} mount it cannot be reached by hand: plug in before hanging, and take the display down for service`]
      : service < HAND
        ? [words`the display pulls out ${service}, but plugging in by hand requires ${HAND}`]
        : inward > ARM ? [words`it is ${inward} in from the nearest edge of the display, but an arm reaches only ${ARM}`] : [],
  }
}

/**
 * The boxes of a wall in their places: upper ones behind their display, lower ones under them in the same bay, each as
 * near to where it is wanted as what stands in the way lets it; those of one screen together, so that all are placed
 * where that can be, and power and signal in bays of their own where the house rule says so. One that a person put
 * somewhere stays there, and is told what is wrong with that and the nearest place that would do.
 */
export function placeBoxes(wall: Wall, members: Member[], arrays: ArrayPlan[], screens: Screen[], { boxes: models = [] }: Catalogue, rules: Rules): BoxPlan[] {
  const bays = baysOf(wall, members)
  const baysIn: BaysIn = heights => baysBetween(bays, members, heights)
  const byId = new Map(screens.map(screen => [screen.id, screen]))
  const isUnsurveyed = isFramed(wall) ? unsurveyedIn(wall) : () => false
  const ownBays = (rules.signalBesidePower ?? 'own-bay') === 'own-bay'
  const apart = chosenFigure('powerSignalApart', rules, 'metric')
  const wanted = wall.boxes ?? []
  const modelOf = new Map(models.map(model => [model.id, model]))
  const placed: BoxPlan[] = []
  /** What a box keeps clear of; each that is placed is one more. */
  const obstacles: Obstacle[] = obstaclesOf(wall, arrays, screens)
  /** Bays that power, and that signal, has taken: those of what is on the wall to begin with. */
  const baysOn = (is: (source: Source) => boolean) => new Set((wall.sources ?? []).filter(is).flatMap((source) => {
    const at = placeOf(source, wall)
    const bay = at ? indexAt(baysIn(atHeight(at.y)), at.x) : -1
    return bay < 0 ? [] : [bay]
  }))
  const taken = { power: baysOn(isFeed), signal: baysOn(givesSignal) }
  const mountKindOf = (kind: WallBox['kind']) => isSignal(kind) ? 'signal' as const : 'power' as const
  const screenOf = (box: WallBox) => box.for.map(id => byId.get(id)).find(found => found !== undefined)

  /** What keeps signal and power apart where they share a bay: as obstacles, as high as the wall. */
  const besideOthers = (box: WallBox, model: BoxModel): Obstacle[] => {
    const wide = 2 * apart - model.cutout.width
    if (ownBays || wide <= 0) return []
    return placed
      .filter(other => isUpper(other.kind) && isSignal(other.kind) !== isSignal(box.kind))
      .map(other => ({
        x: other.x - wide / 2,
        y: 0,
        width: wide,
        height: wall.height,
        name: `the cable to box ${itemName(other)} (power and signal are kept apart)`,
      }))
  }

  function put(box: WallBox, model: BoxModel, placing: Placing | undefined, found: Point | undefined): void {
    const solid = model.surface === true
    const byHand = box.x !== undefined && box.y !== undefined
    const keeping = [...obstacles, ...besideOthers(box, model)]
    const nearest = byHand && placing ? nearestPlace(placing.wanted, model.cutout, placing.rooms, keeping) : found
    const at = byHand ? { x: box.x!, y: box.y! } : found ?? placing?.wanted ?? { x: wall.width / 2, y: wall.height / 2 }
    const cutout = cutoutAt(at, model.cutout)
    const isIn = placing?.rooms.some(room => cutout.x >= room.x - 1e-6 && cutout.x + cutout.width <= room.x + room.width + 1e-6 && cutout.y >= room.y - 1e-6 && cutout.y + cutout.height <= room.y + room.height + 1e-6) ?? false
    const hit = inTheWay(at, model.cutout, keeping)
    const depth = isUpper(box.kind) ? depthOf(screenOf(box), model, at) : { wrong: [], doubts: [] }
    const carrier = isUpper(box.kind) ? screenOf(box)?.array.carrier : undefined
    const board = carrier?.kind === 'board' ? carrier.thickness : 0
    const unfit = unfitFor(model, wall, board)
    const wrong = [
      ...unfit, ...depth.wrong,
      ...!placing ? [words`the screen it serves does not exist`] : [],
      ...placing && !solid && isUnsurveyed({ from: cutout.x, to: cutout.x + cutout.width }) ? [words`the wall behind its cut-out has not been surveyed: survey it first`] : [],
      ...placing && !byHand && !found ? [blockers(placing, model, keeping)] : [],
      ...placing && byHand && !isIn ? [words`its cut-out is not ${placing.hidden} and clear of the studs`] : [],
      ...byHand && hit.length > 0 ? [words`${[...new Set(hit.map(({ name }) => name))].join(' and ')} ${hit.length === 1 ? 'is' : 'are'} in the way`] : [],
    ]
    const furniture = furnitureAt(wall, at.x).find(feature => cutout.x >= feature.x && cutout.x + cutout.width <= feature.x + feature.width && cutout.y + cutout.height <= feature.y + feature.height)
    placed.push({
      id: box.id,
      ...(box.number !== undefined && { number: box.number }),
      kind: box.kind,
      model: box.model,
      ...at,
      for: box.for,
      bay: solid ? [undefined, undefined] : bayAt(baysIn(atHeight(at.y)), at.x),
      cutout,
      byHand,
      held: wrong.length === 0,
      wrong,
      ...board > 0 && unfit.length > 0 && { cure: BOARD_CURE },
      doubts: [...depth.doubts, ...boardDoubts(board)],
      ...(isUpper(box.kind) && isIn && placing
        ? { hidden: placing.hidden }
        : furniture && { hidden: `behind the ${furniture.kind}` }),
      ...(box.cable !== undefined && { cable: box.cable }),
      ...(byHand && wrong.length > 0 && nearest && { nearest }),
    })
    obstacles.push({ ...around(cutout, CLEAR), name: `box ${itemName(box)}` })
    const bay = indexAt(baysIn(atHeight(at.y)), at.x)
    if (!solid && bay >= 0 && isUpper(box.kind)) taken[mountKindOf(box.kind)].add(bay)
  }

  /** The bays in which a kit's lower box would find a place too. */
  const roomsOfKit = (box: WallBox, placing: Placing, solid: boolean): Room[] => {
    const lower = wanted.find(other => other.kind === 'kit-lower' && other.for.some(id => box.for.includes(id)))
    const model = lower && modelOf.get(lower.model)
    if (!model || solid) return placing.rooms
    const both = placing.rooms.filter((room) => {
      const below = under({ x: room.x + room.width / 2, y: room.y + room.height / 2 }, model, wall, baysIn)
      return nearestPlace(below.wanted, model.cutout, below.rooms, obstacles) !== undefined
    })
    return both.length > 0 ? both : placing.rooms
  }

  function placeUpper(boxes: WallBox[]): void {
    const each = boxes.flatMap((box) => {
      const model = modelOf.get(box.model)
      if (!model) return []
      const placing = behindDisplay(box, model, screenOf(box), wall, baysIn)
      if (!placing || box.kind !== 'kit-upper') return [{ box, model, placing }]
      return [{ box, model, placing: { ...placing, rooms: roomsOfKit(box, placing, model.surface === true) } }]
    })
    // What a person put somewhere is there before the others look for a place.
    for (const { box, model, placing } of each.filter(({ box }) => box.x !== undefined)) put(box, model, placing, undefined)
    const free = each.filter(({ box }) => box.x === undefined)
    const seeking = free.map(({ box, model, placing }): Seeking => ({
      size: model.cutout, kind: mountKindOf(box.kind), wanted: placing?.wanted ?? { x: 0, y: 0 }, rooms: placing?.rooms ?? [], obstacles: besideOthers(box, model),
    }))
    const found = placeTogether(seeking, obstacles, taken, { ownBays, apart })
    free.forEach(({ box, model, placing }, n) => put(box, model, placing, found[n]))
  }

  const groups = new Map<string, WallBox[]>()
  for (const box of wanted.filter(({ kind }) => isUpper(kind))) groups.set(box.for[0] ?? box.id, [...groups.get(box.for[0] ?? box.id) ?? [], box])
  for (const boxes of groups.values()) placeUpper(boxes)
  for (const box of wanted.filter(({ kind }) => !isUpper(kind))) {
    const model = modelOf.get(box.model)
    if (!model) continue
    const upper = placed.find(other => isUpper(other.kind) && other.for.some(id => box.for.includes(id)))
    if (box.kind === 'floor') {
      const { outer } = screenOf(box) ?? {}
      const at = { x: box.x ?? (outer ? outer.x + outer.width / 2 : wall.width / 2), y: 0 }
      const wrong = [...unfitFor(model, wall), ...box.for.some(id => byId.has(id)) ? [] : [words`the screen it serves does not exist`]]
      placed.push({
        id: box.id,
        ...(box.number !== undefined && { number: box.number }),
        kind: 'floor',
        model: box.model,
        ...at,
        for: box.for,
        bay: [undefined, undefined],
        cutout: { x: at.x - model.cutout.width / 2, y: 0, width: model.cutout.width, height: 0 },
        byHand: box.x !== undefined,
        held: wrong.length === 0,
        wrong,
        doubts: [words`the floor has not been surveyed: check its build-up and services before cutting`],
      })
      continue
    }
    const placing = under(upper, model, wall, baysIn)
    put(box, model, placing, nearestPlace(placing.wanted, model.cutout, placing.rooms, obstacles))
  }
  const order = new Map(wanted.map(({ id }, n) => [id, n]))
  return placed.sort((a, b) => order.get(a.id)! - order.get(b.id)!)
}
