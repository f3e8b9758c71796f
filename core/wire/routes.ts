import type { Point, Rect } from '../geometry'
import type { Rules, Source, Wall } from '../job'
import { isFramed, type Member } from '../survey'
import { words, type Text } from '../units'
import type { Bay } from './bays'
import type { BoxPlan } from './boxes'
import { bayKey, graphOf, legsTo, MINUTES, reachedFrom, type Leg, type Method } from './ways'

/** The way of a cable through a wall, from where it comes in or begins to a box. */
export interface RoutePlan {
  id: string
  from: string
  to: string
  kind: 'power' | 'signal'
  way: 'above' | 'below' | 'bay' | 'surface'
  /** Where it goes, from its beginning on; each place with how it is reached. */
  path: { x: number, y: number, method: Method }[]
  legs: Leg[]
  /** Along the wall; what runs to a panel elsewhere is not in it. */
  length: number
  minutes: number
  openings: Rect[]
  seals: number
  patches: number
  /** People for the pull. */
  people: number
  /** What the other way in would take, where there is one. */
  otherwise?: { way: 'above' | 'below', minutes: number }
}

/** A box that nothing leads to, and why. */
export interface NoWay { box: string, why: Text }

/** What is bored for one cable, mm. */
const HOLE = 20
/** A pull over this, or with so many bends, takes two people, mm. */
const LONG = 6_000
const BENDS = 2

const bayIndex = (bays: Bay[], x: number) => bays.findIndex(({ from, to }) => x >= from - 1e-6 && x <= to + 1e-6)
const lengthOf = ({ from, to }: Leg) => Math.abs(to.x - from.x) + Math.abs(to.y - from.y)
const isUp = ({ from, to }: Leg) => Math.abs(to.y - from.y) > 1e-6

/** Legs that go on as they went become one. */
function joined(legs: Leg[]): Leg[] {
  const out: Leg[] = []
  for (const leg of legs) {
    const last = out.at(-1)
    if (last && last.method === leg.method && isUp(last) === isUp(leg) && leg.method !== 'bored plate') {
      out[out.length - 1] = { ...last, to: leg.to, minutes: last.minutes + leg.minutes, openings: [...last.openings, ...leg.openings], seals: last.seals + leg.seals, patches: last.patches + leg.patches }
    }
    else out.push(leg)
  }
  return out.filter(leg => lengthOf(leg) > 1e-6 || leg.method === 'bored plate')
}

function routeOf(id: string, from: string, to: string, way: RoutePlan['way'], given: Leg[]): RoutePlan {
  const legs = joined(given)
  const length = legs.reduce((sum, leg) => sum + lengthOf(leg), 0)
  const bends = legs.slice(1).filter((leg, n) => isUp(leg) !== isUp(legs[n]!)).length
  return {
    id, from, to, kind: 'power', way, legs, length,
    path: legs.length === 0 ? [] : [{ ...legs[0]!.from, method: legs[0]!.method }, ...legs.map(leg => ({ ...leg.to, method: leg.method }))],
    minutes: MINUTES.enter + legs.reduce((sum, { minutes }) => sum + minutes, 0), openings: legs.flatMap(({ openings }) => openings),
    seals: legs.reduce((sum, { seals }) => sum + seals, 0), patches: legs.reduce((sum, { patches }) => sum + patches, 0),
    people: length > LONG || bends >= BENDS ? 2 : 1,
  }
}

/** Legs from the other end. */
const reversed = (legs: Leg[]): Leg[] => legs.map(leg => ({ ...leg, from: leg.to, to: leg.from })).reverse()

/** A raceway on the face: from a place straight up or down, then along, then to the box. */
function onTheFace(id: string, from: string, box: BoxPlan, start: Point): RoutePlan {
  const corner = { x: start.x, y: box.y }
  const leg = (a: Point, b: Point): Leg => ({ from: a, to: b, method: 'raceway', minutes: (Math.abs(a.x - b.x) + Math.abs(a.y - b.y)) / 1000 * MINUTES.racewayPerMetre, openings: [], seals: 0, patches: 0 })
  const route = routeOf(id, from, box.id, 'surface', [leg(start, corner), leg(corner, box)])
  return { ...route, minutes: route.minutes + 2 * MINUTES.racewayEnd }
}

/** Where a source is on the wall; undefined where it is elsewhere in the building. */
function placeOf(source: Source | undefined, wall: Wall): Point | undefined {
  const feature = wall.features?.find(({ id }) => id === source?.feature)
  if (feature) return { x: feature.x + feature.width / 2, y: feature.y + feature.height / 2 }
  return source?.x !== undefined && source.y !== undefined ? { x: source.x, y: source.y } : undefined
}

/** The cheapest way from above and from below, and which of them the house rule takes. */
function fromVoid(id: string, from: string, box: BoxPlan, wall: Wall, bays: Bay[], members: Member[], { cableEntry = 'cheaper' }: Rules): RoutePlan | undefined {
  const bay = bayIndex(bays, box.x)
  const graph = graphOf(wall, bays, members, new Map([[bay, [{ x: box.x, y: box.y }]]]), HOLE)
  const reached = reachedFrom(graph, bayKey(bay, box.y))
  const ways = (['above', 'below'] as const).flatMap((side) => {
    const legs = legsTo(reached, bays.map((_, n) => `${side} ${n}`))
    return legs ? [routeOf(id, from, box.id, side, reversed(legs))] : []
  })
  const [first, other] = [...ways].sort((a, b) => Number(b.way === cableEntry) - Number(a.way === cableEntry) || a.minutes - b.minutes)
  return first && { ...first, ...other && { otherwise: { way: other.way as 'above' | 'below', minutes: other.minutes } } }
}

/** The cheapest way between two places of the wall. */
function between(id: string, from: string, start: Point, box: BoxPlan, wall: Wall, bays: Bay[], members: Member[]): RoutePlan | undefined {
  const [a, b] = [bayIndex(bays, start.x), bayIndex(bays, box.x)]
  if (a < 0 || b < 0) return undefined
  const heights = a === b ? new Map([[a, [{ x: box.x, y: start.y }, { x: box.x, y: box.y }]]]) : new Map([[a, [{ x: start.x, y: start.y }]], [b, [{ x: box.x, y: box.y }]]])
  const legs = legsTo(reachedFrom(graphOf(wall, bays, members, heights, HOLE), bayKey(a, start.y)), [bayKey(b, box.y)])
  const side = legs?.some(({ method }) => method === 'void') ? (legs.some(({ to }) => to.y === 0) ? 'below' : 'above') : 'bay'
  return legs && routeOf(id, from, box.id, side, legs)
}

/**
 * The ways of power to the boxes of a wall: to a kit's upper box from its lower one, to a power box from its circuit,
 * through bays, across studs and through the voids, whichever takes least time; on a solid wall in a raceway.
 *
 * @param feeds by a screen's id, the source whose circuit feeds it
 */
export function routesOf(wall: Wall, bays: Bay[], members: Member[], boxes: BoxPlan[], feeds: Map<string, Source>, rules: Rules): { routes: RoutePlan[], noWay: NoWay[] } {
  const routes: RoutePlan[] = []
  const noWay: NoWay[] = []
  for (const box of boxes) {
    if (!box.held || (box.kind !== 'power' && box.kind !== 'kit-upper')) continue
    const source = box.for.map(screen => feeds.get(screen)).find(found => found !== undefined)
    const lower = box.kind === 'kit-upper' ? boxes.find(other => other.kind === 'kit-lower' && other.held && other.for.some(id => box.for.includes(id))) : undefined
    if (box.kind === 'kit-upper' && !lower) {
      noWay.push({ box: box.id, why: words`it has no lower box to be fed from` })
      continue
    }
    if (box.kind === 'power' && !source) continue
    const id = `to-${box.id}`
    const start = lower ?? placeOf(source, wall)
    const from = lower?.id ?? source!.id
    const surface = !isFramed(wall) || box.bay.every(side => side === undefined)
    const route = surface
      ? onTheFace(id, from, box, start ?? { x: box.x, y: wall.void?.above === 'none' && wall.void.below !== 'none' ? 0 : wall.height })
      : start ? between(id, from, start, box, wall, bays, members) : fromVoid(id, from, box, wall, bays, members, rules)
    if (route) routes.push(route)
    else noWay.push({ box: box.id, why: wall.void === undefined ? words`whether cables can come in from above or below is not known` : words`nothing is open above or below, and no stud may be bored on the way` })
  }
  return { routes, noWay }
}
