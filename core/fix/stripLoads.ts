import type { Carrier } from '../job'
import { leansOn, type Strip } from '../mount'
import type { FastenerLoad } from './group'

/** A bolt of a plate on a rail or board: where it is, and what it is loaded with. */
export interface BoltLoad extends FastenerLoad { x: number, y: number, row: string }

/** An inner support of a continuous rail takes more than its share as a row of simple spans. */
const CONTINUOUS = 1.25

/**
 * What comes to the fasteners of a rail or a board in its supports: every bolt leans on the two members beside
 * it, inner supports of a long strip take a quarter more. A rail has one fastener at each; those of a board turn
 * with it about its lower edge.
 *
 * @param standOff how far the strip holds the plates off the wall, mm
 * @returns for each support and each height of its fasteners, in their order
 */
export function supportLoads(
  { of, supports, heights, rect }: Strip,
  carrier: Carrier,
  bolts: BoltLoad[],
): FastenerLoad[] {
  const centres = supports.map(({ x }) => x)
  const at = supports.map((): FastenerLoad & { tipping: number } => ({ tension: 0, across: 0, down: 0, tipping: 0 }))
  for (const bolt of bolts.filter(({ row }) => carrier.kind === 'board' || row === of)) {
    leansOn(bolt.x, centres).forEach((share, n) => {
      const support = at[n]!
      support.tension += share * bolt.tension
      support.across += share * bolt.across
      support.down += share * bolt.down
      support.tipping += share * (bolt.tension * Math.max(bolt.y - rect.y, 0) + bolt.down * carrier.thickness)
    })
  }
  const squares = heights.reduce((sum, y) => sum + (y - rect.y) ** 2, 0)
  return at.flatMap(({ tension, across, down, tipping }, n) => {
    const more = supports.length > 2 && n > 0 && n < supports.length - 1 ? CONTINUOUS : 1
    return heights.map((y): FastenerLoad => ({
      tension:
        more
        * Math.max(carrier.kind === 'board' ? (tipping * (y - rect.y)) / squares : tension, tension / heights.length),
      across: (more * across) / heights.length,
      down: (more * down) / heights.length,
    }))
  })
}
