import type { Point } from '../../geometry'
import type { Rules, Source } from '../../job'
import { isFramed } from '../../survey'
import { branched, chained, inOrderOf, type Distances } from '../circuits/loops'
import { bayNear } from '../bays'
import { inOrder, startsOf, type Beginning, type Reaching } from './reach'
import { onTheFace } from './raceway'
import { keepingOf, type Wanted } from './routes'
import { placeOf } from '../sources'
import { placesTo } from './reached'
import { placeIn, type Ways } from './ways'

const NONE: ReadonlySet<number> = new Set()
const along = (places: Point[]): number =>
  places.slice(1).reduce((sum, { x, y }, n) => sum + Math.abs(x - places[n]!.x) + Math.abs(y - places[n]!.y), 0)

/** Where the places of a way lie, the line being in the box's bay at the box and in the start's at the start. */
function pointsOf(ways: Ways, places: number[], at: Point | undefined, box: Point): Point[] {
  const { bays, levels, wall } = ways
  const [B, L] = [bays.length, levels.length]
  const [goal, start] = [bayNear(ways, box.x), at && bayNear(ways, at.x)]
  const xIn = (bay: number) =>
    bay === goal ? box.x : bay === start ? at!.x : (bays[bay]!.from + bays[bay]!.to) / 2
  const points = places.map((place): Point => {
    if (place < B * L) return { x: xIn(Math.floor(place / L)), y: levels[place % L]! }
    const above = place < B * L + B
    return { x: xIn(place - B * L - (above ? 0 : B)), y: above ? wall.height : 0 }
  })
  return at ? [at, ...points] : points
}

/** What ways are looked for in, and how. */
interface Going { ways: Ways, rules: Rules, reach: Reaching }

/**
 * How long the way to a box is from where one begins, mm, by the way that takes least time; Infinity without any.
 *
 * @param goals the places of all that are asked for, by which the search ends
 */
function lengthsFrom({ ways, rules, reach }: Going, begins: Beginning, goals: number[]): (wanted: Wanted) => number {
  const { wall } = ways
  const starts = isFramed(wall) ? startsOf(ways, begins, rules) : []
  const reachedFor = ({ hole, method }: Wanted) => starts.map(({ starts, ...rest }) =>
    ({ ...rest, reached: reach(starts, keepingOf({ hole, method }, ways, NONE, rest.only), goals) }))
  // Boxes of one circuit have one method, and seldom more than one size of hole.
  let last: { hole: number, found: ReturnType<typeof reachedFor> } | undefined
  return (wanted) => {
    const { box, hole, method } = wanted
    if (!isFramed(wall) || box.bay.every(side => side === undefined)) {
      const from = begins.before ?? (begins.source && placeOf(begins.source, wall))
      return onTheFace(box, from, { ...ways, method }, undefined)
        .reduce((sum, leg) => sum + along([leg.from, leg.to]), 0)
    }
    const goal = placeIn(ways, bayNear(ways, box.x), box.y)
    if (last?.hole !== hole) last = { hole, found: reachedFor(wanted) }
    const found = last.found.map(way => ({ ...way, minutes: way.reached.minutes[goal]! }))
    const [first] = inOrder(found.filter(({ minutes }) => minutes < Infinity), rules)
    return first ? along(pointsOf(ways, placesTo(first.reached, goal), first.at, box)) : Infinity
  }
}

/** What it takes to come to each box of a circuit from the source, and from each other. */
function distancesOf(going: Going, wanted: Wanted[]): Distances {
  const { ways } = going
  const goals = wanted.map(({ box }) => placeIn(ways, bayNear(ways, box.x), box.y))
  const to = (begins: Beginning) => wanted.map(lengthsFrom(going, begins, goals))
  return {
    home: to({ source: wanted[0]!.source }),
    between: wanted.map(({ box, source }) => to({ before: box, source })),
  }
}

/** Whether a box is of fixed wiring, which is looped with the others of its circuit; a kit has a cord of its own. */
const isLooped = ({ box, source, before }: Wanted): boolean =>
  box.kind === 'power' && source !== undefined && before === undefined

/**
 * Boxes of one circuit are looped: one home run, and from box to box by the shortest chain in cable, or in a tree where
 * the circuit asks for one. What is wanted otherwise stays as it is; boxes come in the order in which they are fed.
 */
export function looped(wanted: Wanted[], going: Going): Wanted[] {
  const circuits = new Map<Source, Wanted[]>()
  for (const each of wanted.filter(isLooped))
    circuits.set(each.source!, [...circuits.get(each.source!) ?? [], each])
  const chains = [...circuits].map(([source, boxes]) => {
    if (boxes.length < 2) return boxes
    const distances = distancesOf(going, boxes)
    const feeding = source.loop === 'tree' ? branched(distances) : chained(distances)
    return inOrderOf(feeding).map((n): Wanted => {
      const before = feeding[n]
      return before === undefined ? boxes[n]! : { ...boxes[n]!, before: boxes[before]!.box }
    })
  })
  return [...chains.flat(), ...wanted.filter(each => !isLooped(each))]
}
