import { clearanceOf, drillingFigures, isWoodScrew, type Drilling } from '../fastening'
import type { Fastener, Wall } from '../job'
import { quantity, words, type Figure, type Text, type UnitSystem } from '../units'
import type { Bearer } from './strength'

/** How a fastener is set: what is drilled, what to mark on the bit, how it is drawn tight, and in which order; mm. */
export interface Drive {
  /** Hole for the thread or the anchor; absent where its maker alone knows it. */
  hole?: { bit: Figure, depth: Figure }
  /** Hole for a screw's shank, through the covering and no deeper than the shank goes. */
  clearance?: Drilling
  /** How tight, and in what order. */
  tighten: Text
  order: Text
}

const ORDER = words`Start the top row by hand. Level the plate, then start the row below. Tighten all in a diagonal
  pattern, and check the level again.`

/** How a fastener is set in a wall. Depths are from the wall's finished face: what is marked on the bit. */
export function driveOf(
  fastener: Fastener,
  wall: Wall,
  bearer: Bearer | undefined,
  units: UnitSystem = 'metric',
): Drive {
  const above = bearer?.thickness ?? 0
  const hole = drillingFigures(fastener, wall, above, units)
  const clearance = clearanceOf(fastener, wall, above, units)
  return {
    ...(hole && { hole }),
    ...(clearance && { clearance }),
    tighten:
      fastener.torque !== undefined
        ? words`Tighten to ${quantity(fastener.torque, 'N·m')} with a torque driver.`
        : isWoodScrew(fastener)
          ? words`Tighten until snug, then a quarter turn more. Stop before the washer sinks into the board.`
          : words`Tighten as the maker’s instructions say: the catalogue has no torque.`,
    order: ORDER,
  }
}
