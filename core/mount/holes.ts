import { meets, nearestIn, type Interval } from '../geometry'
import type { Mount, Slot } from '../job'
import { slotOnWall, type FixingZone } from './zones'

/** Where one fastener of a plate goes. */
export interface HolePlace {
  row: string
  /** Index into the plate's slots; absent where a rail or a board is fixed to the wall and not the plate. */
  slot?: number
  x: number
  /** Index into the wall's members; absent where there is none to meet, or none is wanted. */
  member?: number
  /** To spare beside the fastener, mm: wood, or distance to the nearest joint; negative by as much as it misses. Absent where unknown. */
  margin?: number
}

/** A fastener's place: which slot, which zone, how far along the wall, and what is to spare, mm. */
export interface Landed { slot: number, member: number, x: number, margin: number }

/**
 * Every zone that a row of slots reaches from a plate position, each by its best slot, the
 * largest margin first; among equals the one farther from the plate's centre, which spreads the load.
 */
export function reached(slots: Slot[], row: string, plateX: number, zones: FixingZone[]): Landed[] {
  const landed: Landed[] = []
  for (const zone of zones) {
    let best: Landed | undefined
    slots.forEach((slot, index) => {
      const span = slotOnWall(slot, plateX)
      if (slot.row !== row || !meets(span, zone)) return
      const x = nearestIn(span, zone.centre)
      const margin = zone.usable - Math.abs(x - zone.centre)
      if (!best || margin > best.margin) best = { slot: index, member: zone.index, x, margin }
    })
    if (best) landed.push(best)
  }
  return landed.sort((a, b) => b.margin - a.margin || Math.abs(b.x - plateX) - Math.abs(a.x - plateX))
}

/** Holes that a row cannot land: each at the point of a free slot that comes nearest to a member still free. */
function missing(slots: Slot[], row: string, plateX: number, zones: FixingZone[], landed: HolePlace[], wanted: number): HolePlace[] {
  const free = slots.flatMap((slot, index) =>
    slot.row === row && !landed.some(hole => hole.slot === index) ? [{ index, span: slotOnWall(slot, plateX) }] : [])
  const misses = free
    .flatMap(({ index, span }) => zones
      .filter(zone => !landed.some(hole => hole.member === zone.index))
      .map((zone): HolePlace & { margin: number } => {
        const x = nearestIn(span, zone.centre)
        return { row, slot: index, x, member: zone.index, margin: zone.usable - Math.abs(x - zone.centre) }
      }))
    .sort((a, b) => b.margin - a.margin)

  const chosen: HolePlace[] = []
  for (const miss of misses) {
    if (chosen.length === wanted) break
    if (chosen.some(({ slot, member }) => slot === miss.slot || member === miss.member)) continue
    chosen.push(miss)
  }
  const unmet = free.filter(({ index }) => !chosen.some(({ slot }) => slot === index))
  for (const { index, span } of unmet.slice(0, wanted - chosen.length)) chosen.push({ row, slot: index, x: (span.from + span.to) / 2 })
  return chosen
}

/**
 * The holes of one plate on framing, row by row, left to right.
 *
 * @param standing the members that stand at a row's height, of all `zones`
 */
export function holesOnFraming({ plate, needs }: Mount, plateX: number, zones: FixingZone[], standing: (row: string) => FixingZone[]): HolePlace[] {
  return needs.rows.flatMap((row) => {
    const landed: HolePlace[] = reached(plate.slots, row, plateX, standing(row))
      .slice(0, needs.members)
      .map(hole => ({ row, ...hole }))
    const missed = missing(plate.slots, row, plateX, zones, landed, needs.members - landed.length)
    return [...landed, ...missed].sort((a, b) => a.x - b.x)
  })
}

/** One fastener's own share of a slot, from the plate's centre, mm. */
export interface SlotSegment extends Interval { row: string, slot: number }

/** How far apart the shares of one slot are kept, mm: fasteners in it come no nearer to each other. */
const APART = 40

/** The slots of a plate shared out among the fasteners that each row needs, where the wall carries all over. */
export function slotSegments({ plate, needs }: Mount): SlotSegment[] {
  return needs.rows.flatMap((row) => {
    const slots = plate.slots.flatMap((slot, index) => slot.row === row ? [{ index, slot }] : [])
    return slots.flatMap(({ index, slot }, rank) => {
      const count = Math.floor(needs.members / slots.length) + (rank < needs.members % slots.length ? 1 : 0)
      const apart = Math.min(APART, (slot.x2 - slot.x1) / Math.max(count, 1))
      const each = (slot.x2 - slot.x1 - apart * (count - 1)) / count
      return Array.from({ length: count }, (_, n): SlotSegment => ({ row, slot: index, from: slot.x1 + n * (each + apart), to: slot.x1 + n * (each + apart) + each }))
    }).sort((a, b) => a.from - b.from)
  })
}

/** The holes of one plate on a wall that carries all over: each in the middle of its share of a slot. */
export function holesOnSolid(mount: Mount, plateX: number): HolePlace[] {
  return slotSegments(mount).map(({ row, slot, from, to }) => ({ row, slot, x: plateX + (from + to) / 2 }))
}

/** The holes of one plate on block: each as near to the middle of a block as its share of a slot lets it. */
export function holesOnBlock(mount: Mount, plateX: number, blocksAt: (row: string) => FixingZone[], spareUp: (row: string) => number): HolePlace[] {
  return slotSegments(mount).map(({ row, slot, from, to }) => {
    const span = { from: plateX + from, to: plateX + to }
    const places = blocksAt(row).map(({ centre, usable }) => {
      const x = nearestIn(span, centre)
      return { x, spare: usable - Math.abs(x - centre) }
    })
    const best = places.reduce((a, b) => b.spare > a.spare ? b : a)
    return { row, slot, x: best.x, margin: Math.min(best.spare, spareUp(row)) }
  })
}
