import type { Point } from '../geometry'
import { quantity, words, type Figure, type Step, type Text } from '../units'
import type { PlateLoad } from './cases'

/** What a group of fasteners holds: the display's centre on the wall, and the outline of what bears on the wall; mm. */
export interface Held {
  centre: Point
  foot: number
  top: number
  left: number
  right: number
}

/** What one case does to one fastener, N: tension, and shear to the right and down in the plane of the wall. */
export interface FastenerLoad {
  tension: number
  across: number
  down: number
}

/** Why fasteners cannot hold a plate at all. */
export type Unheld = 'none-above-foot' | 'free-to-turn'

/** Less than this is no lever, mm² or N·mm. */
const NOTHING = 1e-6

/** Sums over a group that every one of its fasteners needs. */
interface Sums {
  count: number
  middle: Point
  squares: number
  fromFoot: number
  wide: number
  high: number
}

function sumsOf(places: Point[], foot: number): Sums {
  const count = places.length
  const middle = {
    x: places.reduce((sum, { x }) => sum + x, 0) / count,
    y: places.reduce((sum, { y }) => sum + y, 0) / count,
  }
  const [wide, high] = [
    places.reduce((sum, { x }) => sum + (x - middle.x) ** 2, 0),
    places.reduce((sum, { y }) => sum + (y - middle.y) ** 2, 0),
  ]
  return {
    count,
    middle,
    wide,
    high,
    squares: wide + high,
    fromFoot: places.reduce((sum, { y }) => sum + Math.max(y - foot, 0) ** 2, 0),
  }
}

const totalOf = ({ pulls }: PlateLoad) => pulls.reduce((sum, { down }) => sum + down, 0)
/**
 * Moment that tips a plate out at its top, N·mm, and the one that turns it clockwise in its plane about the middle of
 * its fasteners.
 */
const tippingOf = ({ pulls, push }: PlateLoad, { centre, foot }: Held) =>
  pulls.reduce((sum, { down, arm }) => sum + down * arm, 0)
  + (push ? push.out * Math.max(centre.y + push.up - foot, 0) : 0)

/**
 * Moment of a hand about an upright axis, N·mm, that prises a plate off the wall about one of its upright edges:
 * sideways by how far off the wall it pulls, outwards by how far aside. Positive about the right edge.
 */
const prisingOf = ({ push }: PlateLoad): number =>
  push ? push.side * push.arm - (push.pries ? push.out * push.aside : 0) : 0

/** How far each fastener is from the edge that a plate is prised about, mm. */
function leversOf(prising: number, places: Point[], { left, right }: Held): number[] {
  return places.map(({ x }) => Math.max(prising > 0 ? right - x : x - left, 0))
}

/** Tension of each fastener where a plate is prised about an upright edge, N: M·b ÷ Σb². */
function prisingTensions(load: PlateLoad, places: Point[], held: Held): number[] {
  const prising = prisingOf(load)
  const levers = leversOf(prising, places, held)
  const squares = levers.reduce((sum, b) => sum + b ** 2, 0)
  return levers.map(b => (prising === 0 ? 0 : squares > NOTHING ? (Math.abs(prising) * b) / squares : Infinity))
}
const turningOf = ({ pulls, push }: PlateLoad, { centre }: Held, { middle }: Sums) =>
  pulls.reduce((sum, { down, aside }) => sum + down * (centre.x + aside - middle.x), 0)
  + (push ? push.side * (centre.y + push.up - middle.y) : 0)

/**
 * Tension by wind at a fastener, N: away from the wall by a rigid plate about its foot and by an elastic one, the
 * greater; towards it only where it acts past the plate's outline.
 */
function windTension(
  out: number,
  { x, y }: Point,
  { centre, foot, top, left, right }: Held,
  { count, middle, wide, high, fromFoot }: Sums,
  places: Point[],
): number {
  if (out === 0) return 0
  const a = Math.max(y - foot, 0)
  if (out > 0) {
    const rigid = fromFoot > NOTHING ? (out * Math.max(centre.y - foot, 0) * a) / fromFoot : 0
    const elastic = out / count + (high > NOTHING ? (out * (centre.y - middle.y) * (y - middle.y)) / high : 0)
    const off = centre.x - middle.x
    const sideways = wide > NOTHING ? (out * off * (x - middle.x)) / wide : 0
    // One column of fasteners: the plate tips about its farther edge.
    const lever = off > 0 ? middle.x - left : right - middle.x
    const pried = wide > NOTHING || off === 0 ? 1 : (lever + Math.abs(off)) / Math.max(lever, NOTHING)
    return Math.max(Math.max(rigid, elastic) * pried + sideways, 0)
  }
  const past = (beyond: number, lever: (place: Point) => number) => {
    if (beyond <= 0) return 0
    const sum = places.reduce((total, place) => total + Math.max(lever(place), 0) ** 2, 0)
    return sum > NOTHING ? (-out * beyond * Math.max(lever({ x, y }), 0)) / sum : Infinity
  }
  return (
    past(centre.y - top, place => top - place.y)
    + past(foot - centre.y, place => place.y - foot)
    + past(centre.x - right, place => right - place.x)
    + past(left - centre.x, place => place.x - left)
  )
}

/**
 * What one case does to every fastener of a plate. Out of the plane a rigid plate turns about its foot: the
 * fastener a above it takes M·a ÷ Σa² of tension. In the plane the weight is shared evenly, and where it acts
 * from the centre of the fasteners it turns the plate: M·r ÷ Σr² at right angles to r, added as a vector.
 *
 * @returns a load for each place in its order, or why they cannot hold the plate
 * @example
 * // 33.8 kg, two fasteners 420 above the foot and two at 60, 346 off the wall: shear 82.9, tension 133.8 and 19.1 N
 */
export function groupLoads(load: PlateLoad, places: Point[], held: Held): FastenerLoad[] | Unheld {
  if (places.length === 0) return 'none-above-foot'
  const sums = sumsOf(places, held.foot)
  const [total, tipping, turning] = [totalOf(load), tippingOf(load, held), turningOf(load, held, sums)]
  if (sums.fromFoot <= NOTHING && tipping > NOTHING) return 'none-above-foot'
  if (sums.squares <= NOTHING && Math.abs(turning) > 1) return 'free-to-turn'
  const turn = sums.squares > NOTHING ? turning / sums.squares : 0
  const prised = prisingTensions(load, places, held)
  const aside = (load.push?.side ?? 0) / sums.count
  return places.map((place, n) => ({
    tension:
      prised[n]!
      + (sums.fromFoot > NOTHING ? (tipping * Math.max(place.y - held.foot, 0)) / sums.fromFoot : 0)
      + windTension(load.out, place, held, sums, places),
    across: aside + turn * (place.y - sums.middle.y),
    down: total / sums.count + turn * (place.x - sums.middle.x),
  }))
}

/** How hard a fastener is sheared, N, and at what angle to the upright, degrees. */
export function shearOf({ across, down }: FastenerLoad): { shear: number, angle: number } {
  return { shear: Math.hypot(across, down), angle: (Math.atan2(Math.abs(across), Math.abs(down)) * 180) / Math.PI }
}

/** A working of at least one step as a figure. */
const asFigure = (working: Step[]): Figure => ({ value: working.at(-1)!.value, unit: working.at(-1)!.unit, working })
const joined = (texts: Text[]) => texts.reduce((a, b) => words`${a} + ${b}`)

/** What one case does to one fastener of a plate, with its working. */
export function groupFigures(
  load: PlateLoad,
  places: Point[],
  held: Held,
  index: number,
): { tension: Figure, shear: Figure } {
  const loads = groupLoads(load, places, held)
  if (typeof loads === 'string') throw new Error(`no fastener holds this plate: ${loads}`)
  const sums = sumsOf(places, held.foot)
  const [place, { tension, across, down }] = [places[index]!, loads[index]!]
  const [total, tipping, turning] = [totalOf(load), tippingOf(load, held), turningOf(load, held, sums)]
  const prised = prisingTensions(load, places, held)[index]!
  const even = total / sums.count
  const wind
    = tension - prised - (sums.fromFoot > NOTHING ? (tipping * Math.max(place.y - held.foot, 0)) / sums.fromFoot : 0)
  const squares = [...new Map(places.map(({ y }) => [Math.round((y - held.foot) * 10), y - held.foot])).values()].map(
    a => words`${String(places.filter(({ y }) => Math.abs(y - held.foot - a) < 0.1).length)} × (${quantity(a, 'mm')})²`,
  )
  const { shear, angle } = shearOf({ tension, across, down })
  const lean = tension - prised - wind
  return {
    tension: asFigure([
      {
        label: 'Moment at the wall',
        expression: joined(tippingTexts(load, held)),
        value: tipping / 1000,
        unit: 'N·m',
        source: 'rigid plate rotating about its bottom edge',
      },
      {
        label: 'Tension',
        expression: words`moment × ${quantity(place.y - held.foot, 'mm')} above the bottom edge ÷ (${joined(squares)})`,
        value: lean,
        unit: 'N',
      },
      ...prisingSteps(load, places, held, index, lean),
      ...windSteps(load, lean, wind),
    ]),
    shear: asFigure([
      {
        label: 'Even share',
        expression: words`${quantity(total, 'N')} ÷ ${String(sums.count)} fasteners`,
        value: even,
        unit: 'N',
      },
      ...sideSteps(load, sums),
      ...(Math.abs(turning) > 1 || load.push?.side
        ? turningSteps(load, place, held, sums, { across, down, even, turning, shear, angle })
        : []),
    ]),
  }
}

/** What wind adds to the tension of a fastener. */
function windSteps({ out }: PlateLoad, lean: number, wind: number): Step[] {
  if (out === 0) return []
  const share = words`its share of the wind load
    ${quantity(Math.abs(out), 'N')} ${out > 0 ? 'away from' : 'towards'} the wall`
  return [{
    label: 'Tension with wind',
    expression: words`${quantity(lean, 'N')} + ${share}, ${quantity(wind, 'N')}`,
    value: lean + wind,
    unit: 'N',
    source: 'pressure × 1.3 × area, at the display’s centre',
  }]
}

/** What a hand that pulls sideways adds to each fastener. */
function sideSteps({ push }: PlateLoad, { count }: Sums): Step[] {
  const side = Math.abs(push?.side ?? 0)
  const expression = words`hand ${quantity(side, 'N')} ÷ ${String(count)} fasteners`
  return side > 0 ? [{ label: 'Even share, horizontal', expression, value: side / count, unit: 'N' }] : []
}

/** What tips a plate out at its top, each force with its lever. */
function tippingTexts({ pulls, push }: PlateLoad, { centre, foot }: Held): Text[] {
  return [
    ...pulls.map(({ what, down, arm }) => words`${what} ${quantity(down, 'N')} × ${quantity(arm, 'mm')} from the wall`),
    ...(push && push.out > 0
      ? [
          words`hand ${quantity(push.out, 'N')} outwards × ${quantity(centre.y + push.up - foot, 'mm')} above the
            bottom edge`,
        ]
      : []),
  ]
}

/** How a hand prises a plate about an upright edge, as it is worked out. */
function prisingSteps(load: PlateLoad, places: Point[], held: Held, index: number, lean: number): Step[] {
  const { push } = load
  const prising = prisingOf(load)
  if (!push || prising === 0) return []
  const [lever, prised] = [leversOf(prising, places, held)[index]!, prisingTensions(load, places, held)[index]!]
  const [force, arm] = push.side !== 0 ? [push.side, push.arm] : [push.out, push.aside]
  const from = push.side !== 0 ? 'from the wall' : 'aside'
  return [
    {
      label: 'Prising moment',
      expression: words`hand ${quantity(Math.abs(force), 'N')} × ${quantity(Math.abs(arm), 'mm')} ${from}`,
      value: Math.abs(prising) / 1000,
      unit: 'N·m',
      source: `rigid plate rotating about its ${prising > 0 ? 'right' : 'left'} edge`,
    },
    {
      label: 'Tension with prising',
      expression: words`${quantity(lean, 'N')} + moment × ${quantity(lever, 'mm')} from that edge ÷ Σb²,
        ${quantity(prised, 'N')}`,
      value: lean + prised,
      unit: 'N',
    },
  ]
}

/** A fastener's shear with what it comes from, N and N·mm. */
interface Turned {
  across: number
  down: number
  even: number
  turning: number
  shear: number
  angle: number
}

/** How a plate is turned in its plane, as it is worked out. */
function turningSteps(
  { pulls, push }: PlateLoad,
  place: Point,
  held: Held,
  sums: Sums,
  { across, down, even, turning, shear, angle }: Turned,
): Step[] {
  const side = push?.side ?? 0
  const levers = [
    ...pulls.map(
      ({ what, down, aside }) =>
        words`${what} ${quantity(down, 'N')} × ${quantity(held.centre.x + aside - sums.middle.x, 'mm')} from the
          centre of the fasteners`,
    ),
    ...(side !== 0
      ? [
          words`hand ${quantity(side, 'N')} sideways ×
            ${quantity(held.centre.y + push!.up - sums.middle.y, 'mm')} above it`,
        ]
      : []),
  ]
  return [
    {
      label: 'In-plane moment',
      expression: joined(levers),
      value: turning / 1000,
      unit: 'N·m',
      source: 'rigid plate rotating about the centre of its fasteners',
    },
    {
      label: 'Horizontal',
      expression: words`${side !== 0 ? 'even share + ' : ''}moment × ${quantity(place.y - sums.middle.y, 'mm')} above
        their centre ÷ Σr² ${quantity(sums.squares, 'mm²')}`,
      value: across,
      unit: 'N',
    },
    {
      label: 'From the moment, vertical',
      expression: words`moment × ${quantity(place.x - sums.middle.x, 'mm')} right of their centre ÷ Σr²`,
      value: down - even,
      unit: 'N',
    },
    {
      label: 'Shear',
      expression: words`√((${quantity(even, 'N')} + ${quantity(down - even, 'N')})² + (${quantity(across, 'N')})²),
        at ${angle.toFixed(0)}° to the vertical`,
      value: shear,
      unit: 'N',
    },
  ]
}
