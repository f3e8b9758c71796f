import { nearestIn } from '../geometry'
import type { Mount, Slot } from '../job'
import { reached, slotOnWall, type Landing } from './landing'

/** Where one fastener of a plate goes. */
export interface HolePlace {
  row: string
  /** Index into the plate's slots. */
  slot: number
  x: number
  /** Index into the wall's members; absent where there is none to meet, or none is wanted. */
  member?: number
  /** Wood to spare beside the fastener, mm; negative by as much as it misses. Absent where unknown. */
  margin?: number
}

/** Holes that a row cannot land: each at the point of a free slot that comes nearest to a member still free. */
function missing(slots: Slot[], row: string, plateX: number, landings: Landing[], landed: HolePlace[], wanted: number): HolePlace[] {
  const free = slots.flatMap((slot, index) =>
    slot.row === row && !landed.some(hole => hole.slot === index) ? [{ index, span: slotOnWall(slot, plateX) }] : [])
  const misses = free
    .flatMap(({ index, span }) => landings
      .filter(landing => !landed.some(hole => hole.member === landing.index))
      .map((landing): HolePlace & { margin: number } => {
        const x = nearestIn(span, landing.centre)
        return { row, slot: index, x, member: landing.index, margin: landing.usable - Math.abs(x - landing.centre) }
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

/** The holes of one plate on framing, row by row, left to right. */
export function holesOnFraming({ plate, needs }: Mount, plateX: number, landings: Landing[]): HolePlace[] {
  return needs.rows.flatMap((row) => {
    const landed: HolePlace[] = reached(plate.slots, row, plateX, landings)
      .slice(0, needs.members)
      .map(hole => ({ row, ...hole }))
    const missed = missing(plate.slots, row, plateX, landings, landed, needs.members - landed.length)
    return [...landed, ...missed].sort((a, b) => a.x - b.x)
  })
}

/** The holes of one plate on a wall that carries all over: spread over each row's slots, left to right. */
export function holesOnSolid({ plate, needs }: Mount, plateX: number): HolePlace[] {
  return needs.rows.flatMap((row) => {
    const slots = plate.slots.flatMap((slot, index) => slot.row === row ? [{ index, span: slotOnWall(slot, plateX) }] : [])
    return slots.flatMap(({ index, span }, rank) => {
      const share = Math.floor(needs.members / slots.length) + (rank < needs.members % slots.length ? 1 : 0)
      return Array.from({ length: share }, (_, n): HolePlace =>
        ({ row, slot: index, x: span.from + (span.to - span.from) * (n + 0.5) / share }))
    }).sort((a, b) => a.x - b.x)
  })
}
