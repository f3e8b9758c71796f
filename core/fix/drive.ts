import { coveringOf, type Fastener, type Wall } from '../job'
import { words, type Figure, type Text } from '../units'
import { drillingFigures, type Drilling } from './pilot'
import type { Bearer } from './setting'

/** How a fastener is set: what is drilled, what to mark on the bit, how it is drawn tight, and in which order; mm. */
export interface Drive {
  /** Hole for the thread or the anchor; absent where its maker alone knows it. */
  hole?: { bit: Figure, depth: Figure }
  /** Hole through the covering for a screw's shank, and how deep. */
  clearance?: Drilling
  /** How tight, and in what order. */
  tighten: Text
  order: Text
}

const ORDER = words`Top row first, by hand. Level the plate, then the row below. Then draw all tight crosswise, and check the level again.`

/**
 * How a fastener is set in a wall. Depths are from the wall's finished face: what is marked on the bit.
 */
export function driveOf(fastener: Fastener, wall: Wall, bearer: Bearer | undefined): Drive {
  const screw = fastener.kind === 'lag-screw'
  const shank = screw && fastener.thread !== undefined ? Math.max(fastener.length - fastener.thread - (bearer?.thickness ?? 0), coveringOf(wall)) : 0
  const hole = drillingFigures(fastener, wall, bearer?.thickness ?? 0)
  return {
    ...hole && { hole },
    ...screw && shank > 0 && { clearance: { bit: Math.ceil(fastener.diameter), depth: Math.ceil(shank) } },
    tighten: fastener.torque !== undefined
      ? words`To ${String(fastener.torque)} N·m with a torque driver.`
      : screw ? words`Snug, then a quarter turn; never so far that the washer sinks into the board.` : words`As its maker’s instructions say; no torque is given in the catalogue.`,
    order: ORDER,
  }
}
