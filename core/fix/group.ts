import type { Point } from '../geometry'
import { quantity, words, type Figure, type Step, type Text } from '../units'
import type { PlateLoad } from './cases'

/** What a group of fasteners holds: the display's centre on the wall, and the outline of what bears on the wall; mm. */
export interface Held { centre: Point, foot: number, top: number, left: number, right: number }

/** What one case does to one fastener, N: tension, and shear to the right and down in the plane of the wall. */
export interface FastenerLoad { tension: number, across: number, down: number }

/** Why fasteners cannot hold a plate at all. */
export type Unheld = 'none-above-foot' | 'free-to-turn'

/** Less than this is no lever, mm² or N·mm. */
const NOTHING = 1e-6

/** Sums over a group that every one of its fasteners needs. */
interface Sums { count: number, middle: Point, squares: number, fromFoot: number, wide: number, high: number }

function sumsOf(places: Point[], foot: number): Sums {
  const count = places.length
  const middle = { x: places.reduce((sum, { x }) => sum + x, 0) / count, y: places.reduce((sum, { y }) => sum + y, 0) / count }
  const [wide, high] = [places.reduce((sum, { x }) => sum + (x - middle.x) ** 2, 0), places.reduce((sum, { y }) => sum + (y - middle.y) ** 2, 0)]
  return { count, middle, wide, high, squares: wide + high, fromFoot: places.reduce((sum, { y }) => sum + Math.max(y - foot, 0) ** 2, 0) }
}

const totalOf = ({ pulls }: PlateLoad) => pulls.reduce((sum, { down }) => sum + down, 0)
/**
 * Moment that tips a plate out at its top, N·mm, and the one that turns it clockwise in its plane about the middle of
 * its fasteners.
 */
const tippingOf = ({ pulls }: PlateLoad) => pulls.reduce((sum, { down, arm }) => sum + down * arm, 0)
const turningOf = ({ pulls }: PlateLoad, { centre }: Held, { middle }: Sums) => pulls.reduce((sum, { down, aside }) => sum + down * (centre.x + aside - middle.x), 0)

/**
 * Tension by wind at a fastener, N: away from the wall by a rigid plate about its foot and by an elastic one, the
 * greater; towards it only where it acts past the plate's outline.
 */
function windTension(out: number, { x, y }: Point, { centre, foot, top, left, right }: Held, { count, middle, wide, high, fromFoot }: Sums, places: Point[]): number {
  if (out === 0) return 0
  const a = Math.max(y - foot, 0)
  if (out > 0) {
    const rigid = fromFoot > NOTHING ? out * Math.max(centre.y - foot, 0) * a / fromFoot : 0
    const elastic = out / count + (high > NOTHING ? out * (centre.y - middle.y) * (y - middle.y) / high : 0)
    const off = centre.x - middle.x
    const sideways = wide > NOTHING ? out * off * (x - middle.x) / wide : 0
    // One column of fasteners: the plate tips about its farther edge.
    const lever = off > 0 ? middle.x - left : right - middle.x
    const pried = wide > NOTHING || off === 0 ? 1 : (lever + Math.abs(off)) / Math.max(lever, NOTHING)
    return Math.max(Math.max(rigid, elastic) * pried + sideways, 0)
  }
  const past = (beyond: number, lever: (place: Point) => number) => {
    if (beyond <= 0) return 0
    const sum = places.reduce((total, place) => total + Math.max(lever(place), 0) ** 2, 0)
    return sum > NOTHING ? -out * beyond * Math.max(lever({ x, y }), 0) / sum : Infinity
  }
  return past(centre.y - top, place => top - place.y) + past(foot - centre.y, place => place.y - foot) + past(centre.x - right, place => right - place.x) + past(left - centre.x, place => place.x - left)
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
  const [total, tipping, turning] = [totalOf(load), tippingOf(load), turningOf(load, held, sums)]
  if (sums.fromFoot <= NOTHING && tipping > NOTHING) return 'none-above-foot'
  if (sums.squares <= NOTHING && Math.abs(turning) > 1) return 'free-to-turn'
  const turn = sums.squares > NOTHING ? turning / sums.squares : 0
  return places.map(place => ({
    tension: (sums.fromFoot > NOTHING ? tipping * Math.max(place.y - held.foot, 0) / sums.fromFoot : 0) + windTension(load.out, place, held, sums, places),
    across: turn * (place.y - sums.middle.y),
    down: total / sums.count + turn * (place.x - sums.middle.x),
  }))
}

/** How hard a fastener is sheared, N, and at what angle to the upright, degrees. */
export function shearOf({ across, down }: FastenerLoad): { shear: number, angle: number } {
  return { shear: Math.hypot(across, down), angle: Math.atan2(Math.abs(across), Math.abs(down)) * 180 / Math.PI }
}

/** A working of at least one step as a figure. */
const asFigure = (working: Step[]): Figure => ({ value: working.at(-1)!.value, unit: working.at(-1)!.unit, working })
const joined = (texts: Text[]) => texts.reduce((a, b) => words`${a} + ${b}`)

/** What one case does to one fastener of a plate, with its working. */
export function groupFigures(load: PlateLoad, places: Point[], held: Held, index: number): { tension: Figure, shear: Figure } {
  const loads = groupLoads(load, places, held)
  if (typeof loads === 'string') throw new Error(`no fastener holds this plate: ${loads}`)
  const sums = sumsOf(places, held.foot)
  const [place, { tension, across, down }] = [places[index]!, loads[index]!]
  const [total, tipping, turning] = [totalOf(load), tippingOf(load), turningOf(load, held, sums)]
  const even = total / sums.count
  const wind = tension - (sums.fromFoot > NOTHING ? tipping * Math.max(place.y - held.foot, 0) / sums.fromFoot : 0)
  const pulls = load.pulls.map(({ what, down, arm }) => words`${what} ${quantity(down, 'N')} × ${quantity(arm, 'mm')} from the wall`)
  const squares = [...new Map(places.map(({ y }) => [Math.round((y - held.foot) * 10), y - held.foot])).values()]
    .map(a => words`${String(places.filter(({ y }) => Math.abs(y - held.foot - a) < 0.1).length)} × (${quantity(a, 'mm')})²`)
  const turned = Math.abs(turning) > 1
  const { shear, angle } = shearOf({ tension, across, down })
  return {
    tension: asFigure([
      { label: 'Moment at the wall', expression: joined(pulls), value: tipping / 1000, unit: 'N·m', source: 'rigid plate rotating about its bottom edge' },
      { label: 'Tension', expression: words`moment × ${quantity(place.y - held.foot, 'mm')} above the bottom edge ÷ (${joined(squares)})`, value: tension - wind, unit: 'N' },
      ...load.out !== 0 ? [{ label: 'Tension with wind', expression: words`${quantity(tension - wind, 'N')} + its share of the wind load ${quantity(Math.abs(load.out), 'N')} ${load.out > 0 ? 'away from' : 'towards'} the wall, ${quantity(wind, 'N')}`, value: tension, unit: 'N', source: 'ASCE 7: 0.613·V² × 1.3 × area, at the display’s centre' }] : [],
    ]),
    shear: asFigure([
      { label: 'Even share', expression: words`${quantity(total, 'N')} ÷ ${String(sums.count)} fasteners`, value: even, unit: 'N' },
      ...turned
        ? [
            { label: 'In-plane moment', expression: joined(load.pulls.map(({ what, down, aside }) => words`${what} ${quantity(down, 'N')} × ${quantity(held.centre.x + aside - sums.middle.x, 'mm')} from the centre of the fasteners`)), value: turning / 1000, unit: 'N·m', source: 'rigid plate rotating about the centre of its fasteners' },
            { label: 'From the moment, horizontal', expression: words`moment × ${quantity(place.y - sums.middle.y, 'mm')} above their centre ÷ Σr² ${quantity(sums.squares, 'mm²')}`, value: across, unit: 'N' },
            { label: 'From the moment, vertical', expression: words`moment × ${quantity(place.x - sums.middle.x, 'mm')} right of their centre ÷ Σr²`, value: down - even, unit: 'N' },
            { label: 'Shear', expression: words`√((${quantity(even, 'N')} + ${quantity(down - even, 'N')})² + (${quantity(across, 'N')})²), at ${angle.toFixed(0)}° to the vertical`, value: shear, unit: 'N' },
          ]
        : [],
    ]),
  }
}
