import { coveringOf, type Fastener, type Wall } from '../job'
import { figure, words, type Figure, type UnitSystem } from '../units'
import { bitFrom, depthFrom, depthUpTo } from './bits'
import { fastenerKindOf } from './kinds'
import { isWoodScrew, tipOf } from './wood'

/** A hole to drill, mm: the bit, and how deep from the wall's finished face. */
export interface Drilling {
  bit: number
  depth: number
}

const MAKER = 'maker’s data sheet'

/** The hole that a fastener's maker names. */
function makersHole(
  { hole, ...fastener }: Fastener,
  covering: number,
  units: UnitSystem,
): { bit: Figure, depth: Figure } | undefined {
  if (!hole) return undefined
  const before = fastenerKindOf(fastener).holeFromFace ? 0 : covering
  const sum
    = before > 0 ? words`covering ${before} + ${hole.depth} in the base, rounded up` : words`${hole.depth}, rounded up`
  return {
    bit: figure([
      { label: 'Bit', expression: words`as the maker names it`, value: hole.diameter, unit: 'bit', source: MAKER },
    ]),
    depth: figure([
      { label: 'Depth', expression: sum, value: depthFrom(before + hole.depth, units), unit: 'mm', source: MAKER },
    ]),
  }
}

/** The hole of an anchor that is set in one of its own diameter, deeper than it is set by as much. */
function ownHole(
  { diameter, embedment, ...anchor }: Fastener,
  covering: number,
  units: UnitSystem,
): { bit: Figure, depth: Figure } | undefined {
  if (!fastenerKindOf(anchor).fillsItsHole || embedment === undefined) return undefined
  const source = `${MAKER} takes precedence`
  return {
    bit: figure([{ label: 'Bit', expression: words`anchor diameter`, value: diameter, unit: 'bit', source }]),
    depth: figure([
      {
        label: 'Depth',
        expression: words`covering ${covering} + embedment ${embedment} + one diameter ${diameter} for dust, rounded
          up`,
        value: depthFrom(covering + embedment + diameter, units),
        unit: 'mm',
        source,
      },
    ]),
  }
}

/**
 * What is drilled for a fastener, with the workings of bit and depth: what its maker names; else for a screw in a wood
 * member the largest bit sold that the rule allows, as deep as the screw goes in; for a wedge or sleeve anchor its own
 * diameter, deeper than it is set by as much, so that dust has somewhere to go. Depths are rounded up, and count from
 * the wall's finished face.
 *
 * @param above thickness of what bears under the screw's head, mm
 * @param units the wall's: bits are sold by half millimetres, or by 64ths of an inch
 * @returns undefined where it is not known
 */
export function drillingFigures(
  fastener: Fastener | undefined,
  wall: Pick<Wall, 'structure' | 'covering'>,
  above: number,
  units: UnitSystem = 'metric',
): { bit: Figure, depth: Figure } | undefined {
  if (!fastener || fastener.base !== wall.structure.kind) return undefined
  const covering = coveringOf(wall)
  const named = makersHole(fastener, covering, units) ?? ownHole(fastener, covering, units)
  const gravity = wall.structure.specificGravity
  if (named || gravity === undefined) return named
  const bit = fastenerKindOf(fastener).wood?.lead(fastener, gravity, units)
  return (
    bit && {
      bit,
      depth: figure([
        {
          label: 'Depth',
          expression: words`screw ${fastener.length} − thickness under its head ${above}, rounded up`,
          value: depthFrom(fastener.length - above, units),
          unit: 'mm',
        },
      ]),
    }
  )
}

/**
 * The same as the hole alone.
 *
 * @example
 * // 3/8 in × 76 mm lag through a 2.5 mm plate into G 0.42
 * pilotOf(lag, { structure: { kind: 'wood-stud', specificGravity: 0.42 }, covering: [] }, 2.5)
 * // { bit: 6.5, depth: 74 }
 */
export function pilotOf(
  fastener: Fastener | undefined,
  wall: Pick<Wall, 'structure' | 'covering'>,
  above: number,
  units: UnitSystem = 'metric',
): Drilling | undefined {
  const figures = drillingFigures(fastener, wall, above, units)
  return figures && { bit: figures.bit.value, depth: figures.depth.value }
}

/**
 * The clearance hole for a screw's smooth shank, from the wall's face: through the covering, and into the wood
 * no deeper than the shank goes, so that none of the thread turns in it. Undefined where the thread is not known.
 */
export function clearanceOf(
  screw: Fastener,
  wall: Pick<Wall, 'covering'>,
  above: number,
  units: UnitSystem = 'metric',
): Drilling | undefined {
  if (!isWoodScrew(screw) || screw.thread === undefined) return undefined
  const shank = screw.length - screw.thread - tipOf(screw) - above
  const depth = Math.max(depthUpTo(shank, units), coveringOf(wall))
  return depth > 0 ? { bit: bitFrom(screw.diameter, units), depth } : undefined
}
