import type { Rect } from '../geometry'
import { heightOfRow, type Carrier, type Mount } from '../job'
import { standsAt, type Member } from '../survey'
import type { HolePlace } from './holes/holes'
import { slotSegments } from './holes/holes'
import type { FixingZone } from './holes/zones'

/** A rail of the usual size and a board of plywood, until others are chosen; mm and N·m. */
export const USUAL_CARRIERS: Record<Carrier['kind'], Carrier> = {
  // A channel of 41 × 21 × 2.5: 0.91 cm³ of section at 165 MPa.
  rail: { kind: 'rail', thickness: 21, height: 41, web: 2.5, moment: 150, bolt: { tension: 2500, shear: 1500 } },
  // Tee nuts of M6 let into the back of the board.
  board: { kind: 'board', thickness: 18, bolt: { tension: 900, shear: 800 } },
}

/** So far a rail goes past the last member that it is fixed to, and past its last bolt, mm. */
const END = 50
/** A board goes so far above and below the plates, and is fixed so far in from its edges, at most so far apart, mm. */
const BOARD = { past: 60, inset: 30, apart: 400 }

/** A plate on a carrier: its centre, and the row of the array that it is in. */
export interface Carried { mount: Mount, row: number, x: number, y: number }

/** A place where a carrier is fixed to a member, and how many screens' weight comes to that member. */
export interface Support { member: number, ply?: number, x: number, share: number, margin: number }

/** One rail, or one board, with what it is fixed to. */
export interface Strip {
  /** The array's row, and for a rail the row of slots that it stands behind. */
  row: number
  of: string
  rect: Rect
  supports: Support[]
  /** Heights of the fasteners on each member, mm above the floor. */
  heights: number[]
  /** Whether every plate on it lies between members that it is fixed to. */
  held: boolean
  /** Where the plates are bolted to it, mm along the wall. */
  bolts: number[]
  /** For a load of 1 on each bolt: the bending that it makes where it is greatest, mm. */
  bending: number
}

interface Bolt { x: number, share: number }

/** What strips are fixed to: the wall's members and width, mm. */
export interface Ground {
  members: Member[]
  wallWidth: number
  /** Where the studs can take a fastener at a height. */
  zonesAt: (y: number) => FixingZone[]
  /** Which of some members a strip with fasteners at these heights keeps to. */
  keptOf?: ((heights: number[], zones: FixingZone[]) => KeptSupports | undefined) | undefined
}

/** The members that a strip was issued with, and those in which holes are made for it. */
export interface KeptSupports { issued: Set<number>, made: Set<number>, isWhole: boolean }

/** Whether every bolt of a strip lies between members that it is fixed to. */
const spans = (zones: FixingZone[], left: number, right: number): boolean =>
  zones.length > 1 && zones[0]!.centre <= left && zones.at(-1)!.centre >= right

/**
 * The members that a strip is fixed to: those that it was issued with, where they still do; or all from the last one
 * left of its bolts to the first one right of them, and each in which a hole is made.
 */
function supportsFor(bolts: Bolt[], zones: FixingZone[], kept?: KeptSupports): { zones: FixingZone[], held: boolean } {
  const [left, right] = [Math.min(...bolts.map(({ x }) => x)), Math.max(...bolts.map(({ x }) => x))]
  // Of a doubled member one ply is fixed to.
  const good = [
    ...new Map(
      zones
        .filter(({ usable }) => usable >= 0)
        .reverse()
        .map(zone => [zone.index, zone]),
    ).values(),
  ].reverse()
  const asIssued = good.filter(({ index }) => kept?.issued.has(index) || kept?.made.has(index))
  if (kept?.isWhole && kept.issued.size > 0 && spans(asIssued, left, right)) return { zones: asIssued, held: true }
  const fresh = bracketing(good, left, right)
  const made = good.filter(({ index }) => kept?.made.has(index) && !fresh.zones.some(zone => zone.index === index))
  return made.length > 0
    ? { ...fresh, zones: good.filter(zone => fresh.zones.includes(zone) || made.includes(zone)) }
    : fresh
}

/** Of some members, all from the last one left of a stretch to the first one right of it. */
function bracketing(good: FixingZone[], left: number, right: number): { zones: FixingZone[], held: boolean } {
  let first = good.findLastIndex(({ centre }) => centre <= left)
  let last = good.findIndex(({ centre }) => centre >= right)
  const held = first >= 0 && last >= 0 && good.length > 1
  if (first < 0) first = 0
  if (last < 0) last = good.length - 1
  if (first === last && last + 1 < good.length) last++
  else if (first === last && first > 0) first--
  return { zones: good.slice(first, last + 1), held }
}

/** The member to the right of a place, or the last but one from either end beyond them. */
const rightOf = (x: number, centres: number[]) =>
  Math.min(
    Math.max(
      centres.findIndex(centre => centre >= x),
      1,
    ),
    centres.length - 1,
  )

/**
 * What of a load at a place comes to each member that a strip is fixed to: to its two neighbours in inverse proportion
 * to their distance.
 */
export function leansOn(x: number, centres: number[]): number[] {
  const right = rightOf(x, centres)
  const span = (centres[right] ?? 0) - (centres[right - 1] ?? 0)
  return centres.map((centre, n) =>
    !(span > 0)
      ? 1 / centres.length
      : n === right - 1
        ? (centres[right]! - x) / span
        : n === right
          ? (x - centres[right - 1]!) / span
          : 0,
  )
}

/** What comes to each member, and how far the strip is bent between two of them by a load of 1 on each bolt. */
function sharesAt(bolts: Bolt[], centres: number[]): { shares: number[], bending: number } {
  const shares = centres.map(() => 0)
  const bendings = centres.map(() => 0)
  for (const { x, share } of bolts) {
    leansOn(x, centres).forEach((part, n) => { shares[n]! += share * part })
    const right = rightOf(x, centres)
    const [a, b] = [x - centres[right - 1]!, centres[right]! - x]
    if (a + b > 0) bendings[right]! += Math.max(a * b / (a + b), 0)
  }
  return { shares, bending: Math.max(0, ...bendings) }
}

function boltsOf(plates: Carried[], rows: string[]): Bolt[] {
  return plates.flatMap(({ mount, x }) => slotSegments(mount)
    .filter(({ row }) => rows.includes(row))
    .map(({ from, to }) => ({ x: x + (from + to) / 2, share: 1 / (mount.needs.members * rows.length) })))
}

const railEnds = (places: number[]): number[] => places.flatMap(x => [x - END, x + END])
/** A board is no wider than its plates, or than half a member beyond its outer screws. */
const boardEnds = (plates: Carried[], zones: FixingZone[], members: Member[]): number[] => [
  ...plates.flatMap(({ x, mount: { plate } }) => [x - plate.width / 2, x + plate.width / 2]),
  ...zones.flatMap(({ index, centre }) => {
    const { width, plies } = members[index]!
    return [centre - width / plies / 2, centre + width / plies / 2]
  }),
]
const extentOf = (ends: number[], wallWidth: number): [number, number] =>
  [Math.max(Math.min(...ends), 0), Math.min(Math.max(...ends), wallWidth)]

/** A strip through some rows of slots of the plates in one row of the array. */
function stripOf(
  plates: Carried[],
  of: string,
  rows: string[],
  { from, to, heights }: { from: number, to: number, heights: number[] },
  { zonesAt, members, wallWidth, keptOf }: Ground,
): Strip {
  const standing = zonesAt(heights.reduce((sum, y) => sum + y, 0) / heights.length).filter(({ index }) =>
    heights.every(y => standsAt(members[index]!, y)),
  )
  const bolts = boltsOf(plates, rows)
  const found = supportsFor(bolts, standing, keptOf?.(heights, standing))
  const centres = found.zones.map(({ centre }) => centre)
  const { shares, bending } = sharesAt(bolts, centres)
  const [left, right] = extentOf(
    of === 'board' ? boardEnds(plates, found.zones, members) : railEnds([...centres, ...bolts.map(({ x }) => x)]),
    wallWidth,
  )
  return {
    row: plates[0]!.row,
    of,
    held: found.held,
    bending,
    heights,
    bolts: bolts.map(({ x }) => x),
    rect: { x: left, y: from, width: right - left, height: to - from },
    supports: found.zones.map(({ index, ply, centre, usable }, n) => ({
      member: index,
      ...(members[index]!.plies > 1 && { ply }),
      x: centre,
      share: shares[n]!,
      margin: usable,
    })),
  }
}

/** Heights of fasteners from one to another, no farther apart than a board allows. */
function spread(from: number, to: number): number[] {
  const count = Math.max(Math.ceil((to - from) / BOARD.apart), 1)
  return Array.from({ length: count + 1 }, (_, n) => from + n * (to - from) / count)
}

/** The rails or boards behind the plates of an array, from its top row down. */
export function stripsFor(carrier: Carrier, plates: Carried[], ground: Ground): Strip[] {
  const rows = new Map<number, Carried[]>()
  for (const plate of plates) rows.set(plate.row, [...(rows.get(plate.row) ?? []), plate])
  return [...rows.values()].flatMap((plates) => {
    const [{ mount, y }] = plates as [Carried]
    if (carrier.kind === 'board') {
      const [from, to] = [y - mount.plate.height / 2 - BOARD.past, y + mount.plate.height / 2 + BOARD.past]
      if (!mount.plate.slots.some(({ row }) => mount.needs.rows.includes(row))) return []
      return [
        stripOf(
          plates,
          'board',
          mount.needs.rows,
          { from, to, heights: spread(from + BOARD.inset, to - BOARD.inset) },
          ground,
        ),
      ]
    }
    const half = (carrier.height ?? USUAL_CARRIERS.rail.height!) / 2
    return mount.needs.rows
      .filter(row => mount.plate.slots.some(slot => slot.row === row))
      .map((of) => {
        const at = y + heightOfRow(mount, of)
        return stripOf(plates, of, [of], { from: at - half, to: at + half, heights: [at] }, ground)
      })
  })
}

/**
 * Where a strip is fixed, and how far up each hole is; nearest first to the plate whose holes they are counted with.
 */
export function holesOfStrip({ of, supports, heights }: Strip): (HolePlace & { y: number })[] {
  return supports.flatMap(({ member, ply, x, margin }) =>
    heights.map(y => ({ row: of, x, y, member, ...(ply !== undefined && { ply }), margin })),
  )
}
