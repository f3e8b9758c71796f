import { contains, type Point } from '../../geometry'
import { itemName, type BoxModel, type Catalogue, type Rules, type Source, type Wall, type WallBox } from '../../job'
import type { ArrayPlan } from '../../mount'
import { chosenFigure } from '../../rules'
import { isFramed, unsurveyedIn, type Member } from '../../survey'
import { words, type Text } from '../../units'
import { baysBetween, baysOf } from '../bays'
import { isSignal, isUpper, type BoxPlan } from './boxes'
import { blockers, BOARD_CURE, boardDoubts, depthOf } from './boxFaults'
import {
  atHeight, bayAt, behindDisplay, furnitureAt, indexAt, under, type BaysIn, type Placing, type Room,
} from './boxRooms'
import { unfitFor } from './fit'
import { around, CLEAR, obstaclesOf } from './obstacles'
import { cutoutAt, inTheWay, nearestPlace, type Obstacle } from './place'
import type { Screen } from '../screens'
import { givesSignal, isFeed, placeOf } from '../sources'
import { placeTogether, type Seeking } from './together'

/** What boxes are placed on and by. */
export interface BoxesOn {
  wall: Wall
  members: Member[]
  arrays: ArrayPlan[]
  screens: Screen[]
  models: NonNullable<Catalogue['boxes']>
  rules: Rules
}

/** A box that a person asked for, with its model, and where it may be; undefined where its screen does not exist. */
interface Wanted { box: WallBox, model: BoxModel, placing: Placing | undefined }

const carries = (kind: WallBox['kind']) => isSignal(kind) ? 'signal' as const : 'power' as const
const isPut = ({ x, y }: WallBox) => x !== undefined && y !== undefined
const named = ({ number }: WallBox) => number === undefined ? {} : { number }

/** The boxes of a wall while they are placed: each that is placed is one more that others keep clear of. */
class BoxPlacer {
  readonly placed: BoxPlan[] = []
  private readonly obstacles: Obstacle[]
  private readonly baysIn: BaysIn
  private readonly byId: Map<string, Screen>
  private readonly modelOf: Map<string, BoxModel>
  private readonly isUnsurveyed: (stretch: { from: number, to: number }) => boolean
  private readonly ownBays: boolean
  private readonly apart: number
  /** Bays that power, and that signal, has taken: those of what is on the wall to begin with. */
  private readonly taken: { power: Set<number>, signal: Set<number> }

  constructor(private readonly on: BoxesOn) {
    const { wall, members, arrays, screens, models, rules } = on
    const bays = baysOf(wall, members)
    this.baysIn = heights => baysBetween(bays, members, heights)
    this.byId = new Map(screens.map(screen => [screen.id, screen]))
    this.modelOf = new Map(models.map(model => [model.id, model]))
    this.isUnsurveyed = isFramed(wall) ? unsurveyedIn(wall) : () => false
    this.ownBays = (rules.signalBesidePower ?? 'own-bay') === 'own-bay'
    this.apart = chosenFigure('powerSignalApart', rules, 'metric')
    this.obstacles = obstaclesOf(wall, arrays, screens)
    this.taken = { power: this.baysOn(isFeed), signal: this.baysOn(givesSignal) }
  }

  private baysOn(is: (source: Source) => boolean): Set<number> {
    return new Set((this.on.wall.sources ?? []).filter(is).flatMap((source) => {
      const at = placeOf(source, this.on.wall)
      const bay = at ? indexAt(this.baysIn(atHeight(at.y)), at.x) : -1
      return bay < 0 ? [] : [bay]
    }))
  }

  private screenOf(box: WallBox): Screen | undefined {
    return box.for.map(id => this.byId.get(id)).find(found => found !== undefined)
  }

  /** What keeps signal and power apart where they share a bay: as obstacles, as high as the wall. */
  private besideOthers(box: WallBox, model: BoxModel): Obstacle[] {
    const wide = 2 * this.apart - model.cutout.width
    if (this.ownBays || wide <= 0) return []
    return this.placed
      .filter(other => isUpper(other.kind) && isSignal(other.kind) !== isSignal(box.kind))
      .map(other => ({
        x: other.x - wide / 2,
        y: 0,
        width: wide,
        height: this.on.wall.height,
        name: `the cable to box ${itemName(other)} (power and signal are kept apart)`,
      }))
  }

  /** What is wrong with a box in a place, beside its model and its display. */
  private wrongAt(
    { box, model, placing }: Wanted, at: Point, found: Point | undefined, keeping: Obstacle[],
  ): Text[] {
    const cutout = cutoutAt(at, model.cutout)
    const stretch = { from: cutout.x, to: cutout.x + cutout.width }
    const names = [...new Set(inTheWay(at, model.cutout, keeping).map(({ name }) => name))]
    const hit = isPut(box) && names.length > 0
      ? [words`${names.join(' and ')} ${names.length === 1 ? 'is' : 'are'} in the way`]
      : []
    if (!placing) return [words`the screen it serves does not exist`, ...hit]
    const isIn = placing.rooms.some(room => contains(room, cutout))
    return [
      ...model.surface !== true && this.isUnsurveyed(stretch)
        ? [words`the wall behind its cut-out has not been surveyed: survey it first`]
        : [],
      ...!isPut(box) && !found ? [blockers(placing, model, keeping)] : [],
      ...isPut(box) && !isIn ? [words`its cut-out is not ${placing.hidden} and clear of the studs`] : [],
      ...hit,
    ]
  }

  /** What hides a box in a place. */
  private hiddenAt({ box, model, placing }: Wanted, at: Point): Pick<BoxPlan, 'hidden'> {
    const cutout = cutoutAt(at, model.cutout)
    if (isUpper(box.kind) && placing?.rooms.some(room => contains(room, cutout))) return { hidden: placing.hidden }
    const furniture = furnitureAt(this.on.wall, at.x).find(feature => contains(feature, cutout, 0))
    return furniture ? { hidden: `behind the ${furniture.kind}` } : {}
  }

  /** Where a box goes: where a person put it, otherwise where a place was found, otherwise where it was wanted. */
  private placeFor({ box, placing }: Wanted, found: Point | undefined): Point {
    const { width, height } = this.on.wall
    if (isPut(box)) return { x: box.x!, y: box.y! }
    return found ?? placing?.wanted ?? { x: width / 2, y: height / 2 }
  }

  /** What the wall, and the display before an upper box, have against it in a place. */
  private behind({ box, model }: Wanted, at: Point) {
    const screen = isUpper(box.kind) ? this.screenOf(box) : undefined
    const { wrong, doubts } = isUpper(box.kind) ? depthOf(screen, model, at) : { wrong: [], doubts: [] }
    const carrier = screen?.array.carrier
    const board = carrier?.kind === 'board' ? carrier.thickness : 0
    const unfit = unfitFor(model, this.on.wall, board)
    const cure = board > 0 && unfit.length > 0 ? { cure: BOARD_CURE } : {}
    return { unfit, wrong, cure, doubts: [...doubts, ...boardDoubts(board)] }
  }

  /** Puts a box in its place, whatever is wrong with that; others keep clear of it. */
  private put(wanted: Wanted, found: Point | undefined): void {
    const { box, model, placing } = wanted
    const keeping = [...this.obstacles, ...this.besideOthers(box, model)]
    const at = this.placeFor(wanted, found)
    const { unfit, cure, ...behind } = this.behind(wanted, at)
    const wrong = [...unfit, ...behind.wrong, ...this.wrongAt(wanted, at, found, keeping)]
    const nearest = isPut(box) && placing && wrong.length > 0
      ? nearestPlace(placing.wanted, model.cutout, placing.rooms, keeping)
      : undefined
    const bays = this.baysIn(atHeight(at.y))
    const cutout = cutoutAt(at, model.cutout)
    this.placed.push({
      id: box.id,
      ...named(box),
      kind: box.kind,
      model: box.model,
      ...at,
      for: box.for,
      bay: model.surface === true ? [undefined, undefined] : bayAt(bays, at.x),
      cutout,
      byHand: isPut(box),
      held: wrong.length === 0,
      wrong,
      ...cure,
      doubts: behind.doubts,
      ...this.hiddenAt(wanted, at),
      ...(box.cable !== undefined && { cable: box.cable }),
      ...(nearest && { nearest }),
    })
    this.obstacles.push({ ...around(cutout, CLEAR), name: `box ${itemName(box)}` })
    const bay = indexAt(bays, at.x)
    if (model.surface !== true && bay >= 0 && isUpper(box.kind)) this.taken[carries(box.kind)].add(bay)
  }

  /** The bays in which a kit's lower box would find a place too. */
  private roomsOfKit(box: WallBox, { rooms }: Placing, { surface }: BoxModel): Room[] {
    const { wall } = this.on
    const lower = (wall.boxes ?? [])
      .find(other => other.kind === 'kit-lower' && other.for.some(id => box.for.includes(id)))
    const model = lower && this.modelOf.get(lower.model)
    if (!model || surface === true) return rooms
    const both = rooms.filter((room) => {
      const below = under({ x: room.x + room.width / 2, y: room.y + room.height / 2 }, model, wall, this.baysIn)
      return nearestPlace(below.wanted, model.cutout, below.rooms, this.obstacles) !== undefined
    })
    return both.length > 0 ? both : rooms
  }

  private wantedOf(box: WallBox): Wanted[] {
    const model = this.modelOf.get(box.model)
    if (!model) return []
    const placing = behindDisplay(box, model, this.screenOf(box), this.on.wall, this.baysIn)
    if (!placing || box.kind !== 'kit-upper') return [{ box, model, placing }]
    return [{ box, model, placing: { ...placing, rooms: this.roomsOfKit(box, placing, model) } }]
  }

  /** Places the upper boxes of one screen together, so that all are placed where that can be. */
  placeUpper(boxes: WallBox[]): void {
    const each = boxes.flatMap(box => this.wantedOf(box))
    // What a person put somewhere is there before the others look for a place.
    for (const wanted of each.filter(({ box }) => box.x !== undefined)) this.put(wanted, undefined)
    const free = each.filter(({ box }) => box.x === undefined)
    const seeking = free.map(({ box, model, placing }): Seeking => ({
      size: model.cutout,
      kind: carries(box.kind),
      wanted: placing?.wanted ?? { x: 0, y: 0 },
      rooms: placing?.rooms ?? [],
      obstacles: this.besideOthers(box, model),
    }))
    const found = placeTogether(seeking, this.obstacles, this.taken, { ownBays: this.ownBays, apart: this.apart })
    free.forEach((wanted, n) => this.put(wanted, found[n]))
  }

  /** Places a lower box: under the upper one of its screen, or on the floor. */
  placeLower(box: WallBox): void {
    const model = this.modelOf.get(box.model)
    if (!model) return
    if (box.kind === 'floor') return this.putOnFloor(box, model)
    const upper = this.placed.find(other => isUpper(other.kind) && other.for.some(id => box.for.includes(id)))
    const placing = under(upper, model, this.on.wall, this.baysIn)
    const found = nearestPlace(placing.wanted, model.cutout, placing.rooms, this.obstacles)
    this.put({ box, model, placing }, found)
  }

  private putOnFloor(box: WallBox, model: BoxModel): void {
    const { wall } = this.on
    const { outer } = this.screenOf(box) ?? {}
    const x = box.x ?? (outer ? outer.x + outer.width / 2 : wall.width / 2)
    const isServed = box.for.some(id => this.byId.has(id))
    const wrong = [...unfitFor(model, wall), ...isServed ? [] : [words`the screen it serves does not exist`]]
    this.placed.push({
      id: box.id,
      ...named(box),
      kind: 'floor',
      model: box.model,
      x,
      y: 0,
      for: box.for,
      bay: [undefined, undefined],
      cutout: { x: x - model.cutout.width / 2, y: 0, width: model.cutout.width, height: 0 },
      byHand: box.x !== undefined,
      held: wrong.length === 0,
      wrong,
      doubts: [words`the floor has not been surveyed: check its build-up and services before cutting`],
    })
  }
}

/**
 * The boxes of a wall in their places: upper ones behind their display, lower ones under them in the same bay, each as
 * near to where it is wanted as what stands in the way lets it; those of one screen together, so that all are placed
 * where that can be, and power and signal in bays of their own where the house rule says so. One that a person put
 * somewhere stays there, and is told what is wrong with that and the nearest place that would do.
 */
export function placeBoxes(on: BoxesOn): BoxPlan[] {
  const placer = new BoxPlacer(on)
  const wanted = on.wall.boxes ?? []
  const groups = new Map<string, WallBox[]>()
  for (const box of wanted.filter(({ kind }) => isUpper(kind))) {
    const screen = box.for[0] ?? box.id
    groups.set(screen, [...groups.get(screen) ?? [], box])
  }
  for (const boxes of groups.values()) placer.placeUpper(boxes)
  for (const box of wanted.filter(({ kind }) => !isUpper(kind))) placer.placeLower(box)
  const order = new Map(wanted.map(({ id }, n) => [id, n]))
  return placer.placed.sort((a, b) => order.get(a.id)! - order.get(b.id)!)
}
