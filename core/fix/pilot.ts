import { coveringOf, type Fastener, type Wall } from '../job'
import { figure, words, type Figure } from '../units'

/** A hole to drill, mm: the bit, and how deep from the wall's finished face. */
export interface Drilling { bit: number, depth: number }

/** Lead hole for the thread as a share of the screw's diameter, by the wood's specific gravity (NDS 12.1.4). */
const LEAD_HOLES = [
  { upTo: 0.5, from: 0.40, to: 0.70 },
  { upTo: 0.6, from: 0.60, to: 0.75 },
  { upTo: Infinity, from: 0.65, to: 0.85 },
]

/**
 * What is drilled for a fastener, with the workings of bit and depth. For a lag screw in a wood member
 * the largest whole-millimetre bit that the rule allows, as deep as the screw goes in, rounded up to a
 * millimetre; for an anchor in concrete or block its own diameter, deeper than it is set by as much, so
 * that dust has somewhere to go.
 *
 * @param above thickness of what bears under the screw's head, mm
 * @returns undefined where the maker alone knows it, or the wood is not known
 */
export function drillingFigures(fastener: Fastener | undefined, wall: Pick<Wall, 'structure' | 'covering'>, above: number): { bit: Figure, depth: Figure } | undefined {
  if (!fastener || fastener.base !== wall.structure.kind) return undefined
  const { diameter, length, embedment, base } = fastener
  if (base === 'concrete' || base === 'block') {
    if (embedment === undefined) return undefined
    const covering = coveringOf(wall)
    return {
      bit: figure([{ label: 'Bit', expression: words`the anchor’s own diameter`, value: diameter, unit: 'mm', source: 'maker’s sheet comes first' }]),
      depth: figure([{ label: 'Depth', expression: words`covering ${covering} + embedment ${embedment} + one diameter ${diameter} for dust, rounded up`, value: Math.ceil(covering + embedment + diameter), unit: 'mm', source: 'maker’s sheet comes first' }]),
    }
  }
  const gravity = wall.structure.specificGravity
  if (fastener.kind !== 'lag-screw' || gravity === undefined) return undefined
  const { from, to } = LEAD_HOLES.find(({ upTo }) => gravity <= upTo)!
  const bit = Math.floor(to * diameter)
  if (bit < from * diameter) return undefined
  return {
    bit: figure([{ label: 'Bit', expression: words`at most ${String(Math.round(100 * to))} % of ${diameter} and at least ${String(Math.round(100 * from))} %, in whole millimetres, for wood of G ${String(gravity)}`, value: bit, unit: 'mm', source: 'NDS 12.1.4' }]),
    depth: figure([{ label: 'Depth', expression: words`screw ${length} − what its head bears on ${above}, rounded up`, value: Math.ceil(length - above), unit: 'mm' }]),
  }
}

/**
 * The same as the hole alone.
 *
 * @example
 * // 3/8 in × 76 mm lag through a 2.5 mm plate into G 0.42
 * pilotOf(lag, { structure: { kind: 'wood-stud', specificGravity: 0.42 }, covering: [] }, 2.5) // { bit: 6, depth: 74 }
 */
export function pilotOf(fastener: Fastener | undefined, wall: Pick<Wall, 'structure' | 'covering'>, above: number): Drilling | undefined {
  const figures = drillingFigures(fastener, wall, above)
  return figures && { bit: figures.bit.value, depth: figures.depth.value }
}
