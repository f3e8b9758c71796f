import { nearestIn, type Interval } from '../../geometry'
import type { Mount, Slot } from '../../job'
import { slotOnWall, type FixingZone } from './zones'

/** Where one fastener of a plate goes. */
export interface HolePlace {
  row: string
  /** Index into the plate's slots; absent where a rail or a board is fixed to the wall and not the plate. */
  slot?: number
  x: number
  /** Index into the wall's members; absent where there is none to meet, or none is wanted. */
  member?: number
  /** Which piece of a doubled member, from the left, from 0; absent in a single one. */
  ply?: number
  /**
   * Margin beside the fastener, mm: wood, or distance to the nearest joint; negative by as much as it misses. Absent
   * where unknown.
   */
  margin?: number
}

/** A fastener's place with its slot, member and margin known. */
interface Reached { row: string, slot: number, x: number, member: number, ply: number, margin: number }

/** Where in a stretch of a slot a hole goes that is wanted at a place: there, or beside what it keeps off. */
export type PlaceIn = (span: Interval, wanted: number) => number
const wantedPlace: PlaceIn = (_, wanted) => wanted

/**
 * The best hole of a row of slots in one zone from a plate position: with the largest margin, which may be negative.
 */
function bestIn(
  { slots, row, plateX }: { slots: Slot[], row: string, plateX: number },
  { index, ply, centre, usable }: FixingZone,
  free: (slot: number) => boolean = () => true,
  placeIn: PlaceIn = wantedPlace,
): Reached | undefined {
  let best: Reached | undefined
  slots.forEach((slot, n) => {
    if (slot.row !== row || !free(n)) return
    const span = slotOnWall(slot, plateX)
    const x = placeIn(span, nearestIn(span, centre))
    const margin = usable - Math.abs(x - centre)
    if (!best || margin > best.margin) best = { row, slot: n, x, member: index, ply, margin }
  })
  return best
}

const inZone = ({ margin }: Reached) => margin >= -1e-9
/** The larger margin first; among equals the one farther from the plate's centre, which spreads the load. */
const byMargin = (plateX: number) => (a: Reached, b: Reached) =>
  b.margin - a.margin || Math.abs(b.x - plateX) - Math.abs(a.x - plateX)

/**
 * The holes that a row of slots can make: one in each of the members reached best, and where these are too few
 * in both plies of doubled ones that may count as two.
 *
 * @param spacing how near fasteners in two plies may be, where plies count
 */
export function reached(
  { slots, row, plateX }: { slots: Slot[], row: string, plateX: number },
  zones: FixingZone[],
  wanted: number,
  spacing?: number,
): Reached[] {
  const found = zones
    .flatMap(zone => bestIn({ slots, row, plateX }, zone) ?? [])
    .filter(inZone)
    .sort(byMargin(plateX))
  const best = [...new Map([...found].reverse().map(hole => [hole.member, hole])).values()].sort(byMargin(plateX))
  if (best.length >= wanted || spacing === undefined) return best.slice(0, wanted)
  const holes = [...best]
  for (const { member } of best) {
    const plies = zones.filter(({ index }) => index === member)
    const pitch = plies.length > 1 ? plies[1]!.centre - plies[0]!.centre : 0
    if (holes.length >= wanted || pitch < spacing - 1e-9) continue
    const apart = plies.flatMap(({ usable, ...ply }) => {
      const hole = bestIn({ slots, row, plateX }, { ...ply, usable: Math.min(usable, (pitch - spacing) / 2) })
      return hole && inZone(hole)
        ? [{ ...hole, margin: hole.margin + usable - Math.min(usable, (pitch - spacing) / 2) }]
        : []
    })
    if (apart.length > 1)
      holes.splice(
        holes.findIndex(hole => hole.member === member),
        1,
        ...apart.slice(0, wanted - holes.length + 1),
      )
  }
  return holes.slice(0, wanted)
}

/**
 * Holes that a row cannot put into members: each at the point of a free slot that comes nearest to a member still free.
 */
function missing(
  { slots, row, plateX }: { slots: Slot[], row: string, plateX: number },
  zones: FixingZone[],
  made: HolePlace[],
  wanted: number,
  placeIn: PlaceIn,
): HolePlace[] {
  if (wanted <= 0) return []
  const free = (slot: number) => !made.some(hole => hole.slot === slot)
  const misses = zones
    .filter(({ index }) => !made.some(hole => hole.member === index))
    .flatMap(zone =>
      slots.flatMap((slot, n) =>
        slot.row === row && free(n) ? (bestIn({ slots, row, plateX }, zone, each => each === n, placeIn) ?? []) : [],
      ),
    )
    .sort((a, b) => b.margin - a.margin)
  const chosen: HolePlace[] = []
  for (const miss of misses) {
    if (chosen.length === wanted) break
    if (chosen.some(({ slot, member }) => slot === miss.slot || member === miss.member)) continue
    chosen.push(miss)
  }
  const unmet = slots.flatMap((slot, index) =>
    slot.row === row && free(index) && !chosen.some(hole => hole.slot === index)
      ? [{ index, span: slotOnWall(slot, plateX) }]
      : [],
  )
  for (const { index, span } of unmet.slice(0, wanted - chosen.length))
    chosen.push({ row, slot: index, x: placeIn(span, (span.from + span.to) / 2) })
  return chosen
}

/** The pieces along a stretch of wall, of pieces from left to right, and so many more beyond either end of it. */
function piecesAlong(zones: FixingZone[], { from, to }: Interval, beyond: number): FixingZone[] {
  const before = zones.filter(({ centre }) => centre < from).length
  const within = zones.filter(({ centre }) => centre >= from && centre <= to).length
  return zones.slice(Math.max(before - beyond, 0), before + within + beyond)
}

/**
 * The holes of one plate on framing, row by row, left to right.
 *
 * @param zones the pieces by row, without what is too near to a dead hole there
 * @param standing those that stand at a row's height
 * @param placeIn where in a row's slots a hole goes that misses its piece
 * @param plied which members are doubled, by index: of these the ply is reported
 */
export function holesOnFraming(
  { plate, needs }: Mount,
  plateX: number,
  {
    zones,
    standing,
    placeIn,
  }: {
    zones: (row: string) => FixingZone[]
    standing: (row: string) => FixingZone[]
    placeIn: (row: string) => PlaceIn
  },
  plied: (member: number) => boolean,
  spacing?: number,
): HolePlace[] {
  const span = {
    from: plateX + Math.min(...plate.slots.map(({ x1 }) => x1)),
    to: plateX + Math.max(...plate.slots.map(({ x2 }) => x2)),
  }
  // Of two plies each, so many members at most are taken already or stand nearer than one that is wanted.
  const near = (all: FixingZone[]) => piecesAlong(all, span, 4 * needs.members)
  return needs.rows.flatMap((row) => {
    const made: HolePlace[] = reached({ slots: plate.slots, row, plateX }, near(standing(row)), needs.members, spacing)
    const missed = missing(
      { slots: plate.slots, row, plateX },
      near(zones(row)),
      made,
      needs.members - made.length,
      placeIn(row),
    )
    return [...made, ...missed]
      .sort((a, b) => a.x - b.x)
      .map(({ ply, ...hole }) =>
        ply !== undefined && hole.member !== undefined && plied(hole.member) ? { ...hole, ply } : hole,
      )
  })
}

/** One fastener's own segment of a slot, from the plate's centre, mm. */
export interface SlotSegment extends Interval { row: string, slot: number, y: number }

/** How far apart the segments of one slot are kept, mm: fasteners in it come no nearer to each other. */
const APART = 40

/** The slots of a plate shared out among the fasteners that each row needs, where the wall carries all over. */
export function slotSegments({ plate, needs }: Mount): SlotSegment[] {
  return needs.rows.flatMap((row) => {
    const slots = plate.slots.flatMap((slot, index) => slot.row === row ? [{ index, slot }] : [])
    return slots.flatMap(({ index, slot }, rank) => {
      const count = Math.floor(needs.members / slots.length) + (rank < needs.members % slots.length ? 1 : 0)
      const apart = Math.min(APART, (slot.x2 - slot.x1) / Math.max(count, 1))
      const each = (slot.x2 - slot.x1 - apart * (count - 1)) / count
      return Array.from({ length: count }, (_, n): SlotSegment => ({
        row,
        slot: index,
        y: slot.y,
        from: slot.x1 + n * (each + apart),
        to: slot.x1 + n * (each + apart) + each,
      }))
    }).sort((a, b) => a.from - b.from)
  })
}

/**
 * The holes of one plate on a wall that carries all over: each in the middle of its segment of a slot.
 *
 * @param placeIn where in its segment a hole goes that is wanted at a place, at a height from the plate's centre
 */
export function holesOnSolid(
  mount: Mount,
  plateX: number,
  placeIn: (span: Interval, wanted: number, y: number) => number = (_, wanted) => wanted,
): HolePlace[] {
  return slotSegments(mount).map(({ row, slot, y, from, to }) => ({
    row,
    slot,
    x: placeIn({ from: plateX + from, to: plateX + to }, plateX + (from + to) / 2, y),
  }))
}

/** The holes of one plate on block: each as near to the middle of a block as its segment of a slot lets it. */
export function holesOnBlock(
  mount: Mount,
  plateX: number,
  blocksAt: (y: number) => FixingZone[],
  marginUp: (y: number) => number,
): HolePlace[] {
  return slotSegments(mount).map(({ row, slot, y, from, to }) => {
    const span = { from: plateX + from, to: plateX + to }
    const places = blocksAt(y).map(({ centre, usable }) => {
      const x = nearestIn(span, centre)
      return { x, margin: usable - Math.abs(x - centre) }
    })
    const best = places.sort((a, b) => b.margin - a.margin)[0]
    return best
      ? { row, slot, x: best.x, margin: Math.min(best.margin, marginUp(y)) }
      : { row, slot, x: (span.from + span.to) / 2 }
  })
}
