import { nearestIn, type Interval, type Point } from '../../geometry'
import { liesIn } from '../../intervals'
import type { HolePlace } from '../holes/holes'
import type { FixingZone } from '../holes/zones'

/** A stretch of a slot, from the plate's centre, mm. */
export interface SeatSpan extends Interval { slot: number, y: number }

/**
 * Where so many fasteners of a plate may go: in these stretches of its slots, and on the wall in these zones, each in
 * one that no other of them is in.
 */
export interface Seat {
  row: string
  spans: SeatSpan[]
  zones: FixingZone[]
  wanted: number
  /**
   * How near two fasteners in plies of one member may be for the plies to count as two; undefined where they count as
   * one.
   */
  plySpacing?: number
  /** What is told of a fastener at a place of a zone. */
  at: (x: number, zone: FixingZone) => Pick<HolePlace, 'member' | 'ply' | 'margin'>
}

/** A hole as it stands before the plate is placed anew: where it was issued, or, once made, where it was made. */
export interface StandingHole { id: string, row: string, x: number, y: number, fixed: boolean }

/** Where a hole goes, and whether it stays where it was. */
export interface SeatedHole extends HolePlace { id: string, y: number, stays: boolean }

const SAME = 1e-6
/** So many places are weighed for one hole that has to move: those nearest to where it was. */
const NEAREST = 6

interface Use { x: number, zone?: FixingZone }

/** Whether a fastener in a zone leaves the others theirs. */
const isFree = (used: Use[], { index, ply }: FixingZone, x: number, plySpacing: number | undefined) =>
  used.every(
    ({ zone, x: other }) =>
      zone?.index !== index
      || (zone.ply !== ply && plySpacing !== undefined && Math.abs(x - other) >= plySpacing - SAME),
  )

/**
 * Every place that a hole could have for a plate at a place, each as near to where it was as its slot and a zone let
 * it.
 */
function placesFor(
  { spans, zones }: Seat,
  centre: Point,
  { x: was, y }: StandingHole,
): { x: number, span: SeatSpan, zone: FixingZone, by: number }[] {
  return zones
    .flatMap(zone =>
      spans.flatMap((span) => {
        const [from, to] = [Math.max(centre.x + span.from, zone.from), Math.min(centre.x + span.to, zone.to)]
        if (to < from - 1e-9) return []
        const x = nearestIn({ from, to: Math.max(from, to) }, was)
        return [{ x, span, zone, by: Math.hypot(x - was, centre.y + span.y - y) }]
      }),
    )
    .sort((a, b) => a.by - b.by)
}

/** Holes in their places: how many of them moved, and by how much in all. */
interface Filled { moved: number, sum: number, holes: SeatedHole[] }

const isLess = (a: Pick<Filled, 'moved' | 'sum'>, b: Filled | undefined) =>
  !b || a.moved < b.moved || (a.moved === b.moved && a.sum < b.sum - SAME)

/** Of two the one with less moves; the first where they are alike. */
function lessOf(a: Filled | undefined, b: Filled): Filled
function lessOf(a: Filled | undefined, b: Filled | undefined): Filled | undefined
function lessOf(a: Filled | undefined, b: Filled | undefined): Filled | undefined {
  return b && isLess(b, a) ? b : a
}

/**
 * The places of so many of some holes of which the fewest move, and these the least in all; undefined where there are
 * not enough.
 */
function leastMoves(seat: Seat, centre: Point, holes: StandingHole[], wanted: number, used: Use[]): Filled | undefined {
  if (wanted === 0) return { moved: 0, sum: 0, holes: [] }
  const [hole, ...rest] = holes
  if (!hole || holes.length < wanted) return undefined
  let best: Filled | undefined
  const free = placesFor(seat, centre, hole).filter(({ x, zone }) => isFree(used, zone, x, seat.plySpacing))
  // One that is last takes what is nearest; beside the nearest ones, as many as the others could take.
  for (const { x, span, zone, by } of free.slice(0, wanted === 1 ? 1 : NEAREST)) {
    const moves = by < SAME ? 0 : 1
    const others = leastMoves(seat, centre, rest, wanted - 1, [...used, { x, zone }])
    if (!others) continue
    const seated = { id: hole.id, row: seat.row, slot: span.slot, x, y: centre.y + span.y, ...seat.at(x, zone) }
    const filled = {
      moved: others.moved + moves, sum: others.sum + by, holes: [{ ...seated, stays: moves === 0 }, ...others.holes],
    }
    best = lessOf(best, filled)
    if (best.moved === 0) break
  }
  if (rest.length < wanted || best?.moved === 0) return best
  return lessOf(best, leastMoves(seat, centre, rest, wanted, used))
}

/**
 * Fills a seat from a plate's place: holes that are made stay, those that are not stay where their slot and a zone let
 * them, and the rest move as little as they can.
 *
 * @returns undefined where fewer find a place than are wanted
 */
export function fillSeat(seat: Seat, centre: Point, standing: StandingHole[]): SeatedHole[] | undefined {
  const used: Use[] = []
  const seated: SeatedHole[] = []
  for (const hole of standing.filter(({ fixed }) => fixed)) {
    const slot = seat.spans.find(
      ({ from, to, y }) =>
        liesIn({ from: centre.x + from - SAME, to: centre.x + to + SAME }, hole.x)
        && Math.abs(centre.y + y - hole.y) < 5,
    )?.slot
    const zone = seat.zones.find(zone => liesIn(zone, hole.x))
    used.push({ x: hole.x, zone })
    seated.push({
      id: hole.id,
      row: seat.row,
      ...(slot !== undefined && { slot }),
      x: hole.x,
      y: hole.y,
      ...(zone && seat.at(hole.x, zone)),
      stays: true,
    })
  }
  const filled = leastMoves(
    seat,
    centre,
    standing.filter(({ fixed }) => !fixed),
    Math.max(seat.wanted - seated.length, 0),
    used,
  )
  return filled && [...seated, ...filled.holes].sort((a, b) => a.x - b.x)
}

/**
 * Where along the wall a plate's centre is when something of its seats begins or ends: a slot at a zone's edge, or at a
 * hole.
 */
export function seatBreaks(seats: Seat[], standing: StandingHole[][], { from, to }: Interval): number[] {
  const ends = seats.flatMap(({ spans, zones }, n) => {
    const places = [...zones.flatMap(zone => [zone.from, zone.to]), ...(standing[n] ?? []).map(({ x }) => x)]
    return spans.flatMap(span => places.flatMap(x => [x - span.from, x - span.to]))
  })
  return ends.filter(x => x >= from - 1e-9 && x <= to + 1e-9)
}
