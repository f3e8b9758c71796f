import { meets, nearestIn, type Interval } from '../geometry'
import type { Fastener, Slot } from '../job'
import type { Member } from '../survey'

/** Where a member can take a fastener: `index` into the wall's members, `usable` the half width u, mm. */
export interface Landing extends Interval { index: number, centre: number, usable: number }

/** A fastener's place: which slot, which member, how far along the wall, and the wood to spare, mm. */
export interface Landed { slot: number, member: number, x: number, margin: number }

/** One-sided 95 % of a normal distribution: how far a member's centre is allowed to be out. */
export const ONE_SIDED_95 = 1.645
/** Edge distance of a lag screw or wood screw in its own diameters (NDS table 12.5.1C). */
const EDGE_DIAMETERS = 1.5

/** Least distance from the fastener's centre to the member's edge, mm; 0 while no fastener is chosen. */
export function edgeDistanceOf(fastener: Fastener | undefined): number {
  return fastener?.edgeDistance ?? EDGE_DIAMETERS * (fastener?.diameter ?? 0)
}

/**
 * The stretch of each member that can take the fastener: centre ± u with
 * u = half width − edge distance − 1.645·σ. Members too narrow or too uncertain
 * have an empty one, that no slot meets.
 */
export function landingsOf(members: Pick<Member, 'centre' | 'width' | 'sd'>[], edgeDistance: number): Landing[] {
  return members.map(({ centre, width, sd }, index) => {
    const usable = width / 2 - edgeDistance - ONE_SIDED_95 * sd
    return { index, centre, usable, from: centre - usable, to: centre + usable }
  })
}

/** A slot as it lies on the wall once its plate is at `plateX`. */
export function slotOnWall(slot: Slot, plateX: number): Interval {
  return { from: plateX + slot.x1, to: plateX + slot.x2 }
}

/**
 * Every member that a row of slots reaches from a plate position, each by its best slot, the
 * largest margin first; among equals the one farther from the plate's centre, which spreads the load.
 */
export function reached(slots: Slot[], row: string, plateX: number, landings: Landing[]): Landed[] {
  const landed: Landed[] = []
  for (const landing of landings) {
    let best: Landed | undefined
    slots.forEach((slot, index) => {
      const span = slotOnWall(slot, plateX)
      if (slot.row !== row || !meets(span, landing)) return
      const x = nearestIn(span, landing.centre)
      const margin = landing.usable - Math.abs(x - landing.centre)
      if (!best || margin > best.margin) best = { slot: index, member: landing.index, x, margin }
    })
    if (best) landed.push(best)
  }
  return landed.sort((a, b) => b.margin - a.margin || Math.abs(b.x - plateX) - Math.abs(a.x - plateX))
}
