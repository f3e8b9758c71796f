import type { Point, Rect } from '../../geometry'
import { itemName, type Rules, type Wall } from '../../job'
import type { RouteMinutes } from '../../rules'
import { isFramed } from '../../survey'
import { figure, quantity, words, type Figure, type Text } from '../../units'
import type { BoxPlan } from '../boxes/boxes'
import { isOutside } from '../boxes/fit'
import { LEG_NAMES } from './legNames'
import type { PowerMethod } from './powerMethods'
import { inSight, onTheFace } from './raceway'
import { isOffWall, nameOfSource, openingRound, placeOf } from '../sources'
import { bayNear } from '../bays'
import { inOrder, reaching, startsOf, type Beginning, type Reaching } from './reach'
import { placesTo, type Keeping } from './reached'
import { legsThrough, placeIn, type Leg, type Method, type VoidSide, type Ways } from './ways'

/** The way of a bundle of cables through a wall, from where it comes in or begins to a box. */
export interface RoutePlan {
  id: string
  from: string
  to: string
  kind: 'power' | 'signal'
  way: 'above' | 'below' | 'bay' | 'surface'
  /** Where it goes, from its beginning on; each place with how it is reached. */
  path: { x: number, y: number, method: Method }[]
  legs: Leg[]
  /** Along the wall; what runs to a panel or rack elsewhere is not in it. */
  length: number
  /** Of that, on the face and not behind a display. */
  seen: number
  minutes: number
  openings: Rect[]
  seals: number
  patches: number
  /** Steel plates that keep screws from it. */
  guards: number
  /** Grommets that keep its sheath from sheet steel. */
  grommets: number
  /** Quarter bends, and pull boxes where one pull does not allow so many. */
  bends: number
  pullBoxes: number
  /** What is bored for it, mm. */
  hole: number
  /** People for the pull. */
  people: number
  /** Bays through which it goes up or down, by index. */
  bays: number[]
  /** What the other way in would take, where there is one. */
  otherwise?: { way: VoidSide, minutes: number, openings: number, seals: number, patches: number }
}

/** A box that nothing leads to, and why; `start` where what feeds it is where nothing can be. */
export interface NoWay { box: string, why: Text, start?: true }

/** What a route is asked for: its id, its box, where it comes from, and what its bundle wants to have bored. */
export interface Wanted extends Beginning {
  id: string
  box: BoxPlan
  kind: RoutePlan['kind']
  hole: number
  method: PowerMethod
}

/** A pull over this, or with so many bends, takes two people, mm. */
const LONG = 6_000
const BENDS = 2

const lengthOf = ({ from, to }: Leg) => Math.abs(to.x - from.x) + Math.abs(to.y - from.y)
const isUp = ({ from, to }: Leg) => Math.abs(to.y - from.y) > 1e-6
const ALONE = new Set<Method>(['bored plate', 'through the wall', 'opening at blocking'])
const LINES = new Set<Method>(['drops', 'weighted line', 'rod'])

/** Legs that go on as they went become one. */
function joined(legs: Leg[]): Leg[] {
  const out: Leg[] = []
  for (const leg of legs) {
    const last = out.at(-1)
    // A line that runs on until it is stopped is one leg with what stops it; past that a new one begins.
    const goesOn
      = last
        && isUp(last) === isUp(leg)
        && (last.method === leg.method || (leg.method === 'opening at blocking' && LINES.has(last.method)))
    if (last && goesOn && !ALONE.has(last.method)) {
      out[out.length - 1] = {
        ...last,
        method: leg.method,
        to: leg.to,
        minutes: last.minutes + leg.minutes,
        openings: [...last.openings, ...leg.openings],
        seals: last.seals + leg.seals,
        patches: last.patches + leg.patches,
        bores: [...last.bores, ...leg.bores],
        guards: last.guards + leg.guards,
        past: [...new Set([...last.past, ...leg.past])],
        doubts: [...last.doubts, ...leg.doubts],
        ...(leg.lost && { lost: leg.lost }),
      }
    }
    else out.push(leg)
  }
  return out.filter(leg => lengthOf(leg) > 1e-6 || ALONE.has(leg.method))
}

const sum = (legs: Leg[], of: (leg: Leg) => number) => legs.reduce((total, leg) => total + of(leg), 0)

/** What a method takes beyond its legs: its ends, its bends, and pull boxes where one pull has too many. */
function extraOf({ method }: Wanted, bends: number, spent: RouteMinutes) {
  const pullBoxes = method.bends === undefined ? 0 : Math.max(0, Math.ceil(bends / method.bends) - 1)
  return {
    pullBoxes,
    minutes: 2 * method.perEnd(spent) + bends * method.perBend(spent) + pullBoxes * spent.minutesPullBox,
  }
}

/** What a route is made of: its legs, by which way, through which bays. */
interface Made { way: RoutePlan['way'], given: Leg[], bays: number[] }

function routeOf(
  wanted: Wanted,
  { way, given, bays }: Made,
  cases: Rect[],
  { wall, spent }: Pick<Ways, 'wall' | 'spent'>,
): RoutePlan {
  const { id, box, kind, source, before, hole, method } = wanted
  const more = way === 'surface' ? 0 : method.perMetre(spent)
  const legs = joined(given).map(leg => more === 0
    ? leg
    : { ...leg, minutes: leg.minutes + more * lengthOf(leg) / 1000 })
  const inside = legs.filter(leg => leg.method !== 'through the wall')
  const isSteel = wall.structure.kind === 'steel-stud'
  const length = sum(legs, lengthOf)
  const bends = legs.slice(1).filter((leg, n) => isUp(leg) !== isUp(legs[n]!)).length
  const extra = extraOf(wanted, bends, spent)
  return {
    id,
    from: before?.id ?? source!.id,
    to: box.id,
    kind,
    way,
    legs,
    length,
    hole,
    bays,
    seen: way === 'surface' ? sum(legs, leg => inSight(leg, cases)) : 0,
    path:
      legs.length === 0
        ? []
        : [{ ...legs[0]!.from, method: legs[0]!.method }, ...legs.map(leg => ({ ...leg.to, method: leg.method }))],
    minutes: spent.minutesEnter + sum(legs, ({ minutes }) => minutes) + extra.minutes,
    bends,
    pullBoxes: extra.pullBoxes,
    grommets: isSteel && method.grommets ? sum(inside, ({ seals }) => seals) : 0,
    openings: legs.flatMap(({ openings }) => openings),
    seals: sum(legs, ({ seals }) => seals),
    patches: sum(legs, ({ patches }) => patches),
    guards: sum(legs, ({ guards }) => guards),
    people: length > LONG || bends >= BENDS ? 2 : 1,
  }
}

const middleOf = ({ from, to }: { from: number, to: number }) => (from + to) / 2

/**
 * Which bays some places lie in, where two that follow each other are in the same one: a line goes up or down there.
 */
function bayList({ bays, levels }: Ways, places: number[]): number[] {
  const bayOf = (place: number) => place < bays.length * levels.length ? Math.floor(place / levels.length) : -1
  return [
    ...new Set(
      places
        .slice(1)
        .flatMap((place, n) => (bayOf(place) >= 0 && bayOf(place) === bayOf(places[n]!) ? [bayOf(place)] : [])),
    ),
  ]
}

/**
 * A line that begins in the bay of its box, beside it, slants over to it: what that takes more of cable is not lost.
 */
function begunAt(start: Point | undefined, box: Point, legs: Leg[]): Leg[] {
  const [first, ...rest] = legs
  if (!start) return legs
  if (first)
    return Math.abs(first.from.x - start.x) > 1e-6 && isUp(first)
      ? [{ ...first, from: { ...first.from, x: start.x } }, ...rest]
      : legs
  return Math.abs(start.x - box.x) > 1e-6
    ? [{
        from: { x: start.x, y: start.y },
        to: { x: box.x, y: box.y },
        method: 'rod',
        minutes: 0,
        openings: [],
        seals: 0,
        patches: 0,
        bores: [],
        guards: 0,
        past: [],
        doubts: [],
      }]
    : legs
}

/** The places at which routes to some boxes begin and end; at their heights they may also cross. */
export const endsOf = (wanted: Wanted[], wall: Wall): Point[] => wanted.flatMap(({ box, source, before }) => {
  const start = before ?? (source && placeOf(source, wall))
  return [box, ...start ? [start] : []]
})

/** The other bays that a way must keep out of: those of the other kind, but for the one that its own box is in. */
const without = (avoid: ReadonlySet<number>, bay: number): ReadonlySet<number> =>
  avoid.has(bay) ? new Set([...avoid].filter(other => other !== bay)) : avoid

/** By which void legs go; through bays alone where they go by none. */
function wayOf(legs: Leg[]): VoidSide | 'bay' {
  const inVoid = legs.find(({ method }) => method === 'void')
  if (!inVoid) return 'bay'
  return inVoid.to.y === 0 ? 'below' : 'above'
}

/** The legs of a raceway from a box or a source to a box. */
const legsOnFace = ({ box, before, source, hole, method }: Wanted, { wall, spent }: Ways): Leg[] =>
  onTheFace(
    box, before ?? (source && placeOf(source, wall)), { wall, spent, method },
    !before && source?.behind ? hole : undefined,
  )

/** What a way keeps to: its hole, the bays that it does not enter, the only void, and what its method takes more. */
export const keepingOf = (
  { hole, method }: Pick<Wanted, 'hole' | 'method'>, { spent }: Ways, avoid: ReadonlySet<number>, only?: VoidSide,
): Keeping => ({ hole, avoid, perMetre: method.perMetre(spent), ...only && { only } })

/** A way that was not taken, to compare it with. */
const inShort = ({ way, minutes, openings, seals, patches }: RoutePlan): NonNullable<RoutePlan['otherwise']> =>
  ({ way: way as VoidSide, minutes, openings: openings.length, seals, patches })

/**
 * The minutes of the ways to some boxes of a framed wall, all together, without the ways themselves.
 *
 * @param powered bays in which power lies, that signal keeps out of
 */
export function minutesOf(ways: Ways, wanted: Wanted[], powered: ReadonlySet<number>, rules: Rules): number {
  const reach = reaching(ways)
  return wanted.reduce((sum, each) => {
    const bay = bayNear(ways, each.box.x)
    const goal = placeIn(ways, bay, each.box.y)
    const avoid = each.kind === 'signal' ? without(powered, bay) : new Set<number>()
    const [first] = inOrder(
      startsOf(ways, each, rules)
        .map(({ starts, side, only }) => ({
          side, only, minutes: reach(starts, keepingOf(each, ways, avoid, only), [goal]).minutes[goal]!,
        }))
        .filter(({ minutes }) => minutes < Infinity),
      rules,
    )
    return sum + (first ? ways.spent.minutesEnter + first.minutes : 0)
  }, 0)
}

/**
 * The ways of power and of signal to the boxes of a wall: to a kit's upper box from its lower one, to a power box from
 * its circuit, to a pass-through from its player, through bays, across studs and through the voids, whichever takes
 * least time; on a solid wall in a raceway. Power goes first; signal keeps out of the bays in which it lies.
 *
 * @param apart whether signal has bays of its own
 */
export function routesOf(
  ways: Ways,
  wanted: Wanted[],
  { cases, apart, rules, reach }: { cases: Rect[], apart: boolean, rules: Rules, reach: Reaching },
): { routes: RoutePlan[], noWay: NoWay[] } {
  const { wall, bays } = ways
  const routes: RoutePlan[] = []
  const noWay: NoWay[] = []
  const powered = new Set<number>()

  /** The way to a box; the line lies in the box's bay at the box, in the source's at the source. */
  function inWall(each: Wanted, avoid: ReadonlySet<number>): RoutePlan | undefined {
    const bay = bayNear(ways, each.box.x)
    const goal = placeIn(ways, bay, each.box.y)
    const found = inOrder(
      startsOf(ways, each, rules)
        .map(({ starts, ...rest }) => {
          const reached = reach(starts, keepingOf(each, ways, avoid, rest.only), [goal])
          return { ...rest, reached }
        })
        .map(way => ({ ...way, minutes: way.reached.minutes[goal]! }))
        .filter(({ minutes }) => minutes < Infinity),
      rules,
    )
    const routeBy = ({ reached, at, side }: (typeof found)[number]) => {
      const places = placesTo(reached, goal)
      const begins = at && bayNear(ways, at.x)
      const xIn = (n: number) => (n === bay ? each.box.x : n === begins ? at!.x : middleOf(bays[n]!))
      const legs = begunAt(at, each.box, legsThrough(ways, places, each.hole, xIn))
      const made: Made = { way: side ?? wayOf(legs), given: legs, bays: bayList(ways, places) }
      const route = routeOf(each, made, cases, ways)
      // Outside, what is cut for the box is sealed too.
      return { ...route, seals: route.seals + Number(isOutside(wall)) }
    }
    const [first, other] = found.filter(({ side }, n) => n === 0 || side !== undefined).map(routeBy)
    return first && { ...first, ...(other && { otherwise: inShort(other) }) }
  }

  for (const each of [...wanted].sort((a, b) => Number(a.kind === 'signal') - Number(b.kind === 'signal'))) {
    const { box } = each
    const misplaced = misplacedStart(each, wall)
    if (misplaced) {
      noWay.push({ box: box.id, why: misplaced, start: true })
      continue
    }
    if (!isFramed(wall) || box.bay.every(side => side === undefined)) {
      routes.push(routeOf(each, { way: 'surface', given: legsOnFace(each, ways), bays: [] }, cases, ways))
      continue
    }
    const avoid = without(each.kind === 'signal' && apart ? powered : new Set(), bayNear(ways, box.x))
    // Where no way keeps out of them, the one that does not is told as what it is.
    const route = inWall(each, avoid) ?? (avoid.size > 0 ? inWall(each, new Set()) : undefined)
    if (route) routes.push(route)
    else noWay.push({ box: box.id, why: whyNot(wall) })
    if (each.kind === 'power') for (const bay of route?.bays ?? []) powered.add(bay)
  }
  return { routes, noWay }
}

/** What is wrong with where a way begins: off the wall, or in what goes through it. */
function misplacedStart({ source, before }: Wanted, wall: Wall): Text | undefined {
  if (before || !source) return undefined
  if (isOffWall(source, wall)) return words`${nameOfSource(source)} is entered at a position off the wall`
  const at = placeOf(source, wall)
  const opening = at && openingRound(at, wall)
  return opening && words`${nameOfSource(source)} is entered inside ${opening.kind} ${itemName(opening)}`
}

const whyNot = (wall: Wall): Text => wall.void === undefined
  ? words`it is not known whether cables can enter from above or below`
  : words`no void is open above or below, and no stud on the way may be bored`

/** How long a route takes, min, with what each leg of it does. */
export const timeOf = ({ legs, minutes, way }: RoutePlan): Figure =>
  figure([{
    label: 'Time',
    unit: 'min',
    value: minutes,
    expression: legs.reduce<Text>(
      (text, leg) => words`${text} + ${LEG_NAMES[leg.method].toLowerCase()} ${quantity(leg.minutes, '')}`,
      words`set-up and ends ${quantity(minutes - sum(legs, leg => leg.minutes), '')}`,
    ),
    source:
      way === 'surface'
        ? 'house rules: minutes per metre, end and corner'
        : 'house rules: minutes of each part; likely blocking weighted by its probability',
  }])
