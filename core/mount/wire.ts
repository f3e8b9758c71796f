import { contains, type Point, type Rect } from '../geometry'
import { subtract } from '../intervals'
import type { Mount, Wall } from '../job'
import { isAt, type AsBuilt } from '../log'
import { holeId, isHoleIn, numberOfHole } from './holes/holeId'
import { HAZARD_CLEARANCE } from './findings/hazards'
import type { Hole, MountedCell } from './position'
import type { Substrate } from './slide/substrate'

/** The row of a screen's holes that the anchor of its safety wire is in. */
export const WIRE_ROW = 'wire'

/** So far an anchor keeps from the plate, and from the edge of the case that hides it, mm. */
const [OFF_PLATE, INSIDE] = [40, 30]
/** From one height that is tried to the next, mm. */
const STEP = 10

/** What an anchor of a safety wire is placed by. */
interface Anchoring {
  cell: MountedCell
  mount: Mount
  /** What it goes into: never the rail or board that the plate stands on. */
  substrate: Substrate
  /** Rails and boards that are in the way. */
  covered: Rect[]
  wall: Wall
  built: AsBuilt
  /** Whether it needs a stud to go into. */
  framed: boolean
  /** How far it keeps from holes that serve nothing. */
  keepOff: number
}

/** Where the anchor of a screen was issued last. */
const issuedAt = ({ id }: MountedCell, { issued }: AsBuilt): Point | undefined => issued?.arrays
  .flatMap(({ plates }) => plates.flatMap(({ screen, holes }) => screen === id ? holes : []))
  .find(({ row }) => row === WIRE_ROW)

/** The anchors that were drilled for a screen and hold. */
const madeFor = (screen: string, { holes }: AsBuilt) =>
  holes.filter(({ hole, result }) => result === 'hit' && isHoleIn(screen, WIRE_ROW, hole))

const isHidden = ({ x, y }: Point, { outer }: MountedCell): boolean => contains(outer, { x, y, width: 0, height: 0 })
const isInReach = ({ x, y }: Point, { pattern }: MountedCell, length: number): boolean =>
  y >= pattern.y && Math.hypot(x - pattern.x, y - pattern.y) <= length + 1e-6

/** Heights at which an anchor is tried: just above the plate first, then higher, then beside the plate. */
function heightsFor({ outer, pattern, plate: { rect } }: MountedCell, length: number): number[] {
  const [top, foot] = [Math.min(outer.y + outer.height - INSIDE, pattern.y + length), pattern.y]
  const above = rect.y + rect.height + OFF_PLATE
  const steps = (from: number, to: number, step: number) =>
    Array.from({ length: Math.max(0, Math.floor((to - from) / step + 1e-9) + 1) }, (_, n) => from + n * step)
  const tried = [...steps(above, top, STEP), ...steps(foot, Math.min(above - STEP, top), STEP).reverse()]
  return tried.filter(y => y >= foot && y <= top)
}

/** Where along the wall an anchor may be at a height: behind its case, in reach, clear of plate, rails and hazards. */
function spansAt(y: number, length: number, { cell, covered, wall: { features = [] } }: Anchoring) {
  const { outer, pattern, plate: { rect } } = cell
  const reach = Math.sqrt(Math.max(0, length ** 2 - (y - pattern.y) ** 2))
  const own = {
    from: Math.max(outer.x + INSIDE, pattern.x - reach),
    to: Math.min(outer.x + outer.width - INSIDE, pattern.x + reach),
  }
  if (own.from >= own.to) return []
  const clearOf = ({ x, y: foot, width, height }: Rect, by: number) =>
    y > foot - by && y < foot + height + by ? [{ from: x - by, to: x + width + by }] : []
  return subtract([own], [
    ...clearOf(rect, OFF_PLATE), ...covered.flatMap(each => clearOf(each, OFF_PLATE)),
    ...features.flatMap(each => clearOf(each, HAZARD_CLEARANCE)),
  ])
}

/**
 * Where the anchor of a screen's safety wire goes: into the structure, apart from the mount, behind the display, above
 * its pattern's centre and within the wire's length; one that is drilled, issued or placed manually stays. Undefined
 * where no such place takes the fastener.
 */
export function wirePlace(of: Anchoring): Omit<Hole, 'id' | 'rank'> | undefined {
  const { cell, mount, substrate, built, framed, keepOff } = of
  const { length } = mount.wire!
  const made = madeFor(cell.id, built).findLast(hole => isHidden(hole, cell) && isInReach(hole, cell, length))
  const at = ({ x, y }: Point) => ({ row: WIRE_ROW, secures: true as const, x, y, ...substrate.at(x, y) })
  if (made) return at(made)
  const takes = ({ member, margin = 0 }: Partial<Hole>) => margin >= -1e-9 && (!framed || member !== undefined)
  const aside = ({ x }: { x: number }) => Math.abs(x - cell.pattern.x)
  const placeAt = (y: number) => {
    const slots = spansAt(y, length, of).map(({ from, to }) =>
      ({ row: WIRE_ROW, y: 0, x1: from - cell.pattern.x, x2: to - cell.pattern.x, diameter: 1 }))
    if (slots.length === 0) return []
    // The plate's own studs are surveyed anyhow; of these and others the one nearest to the middle.
    const own = new Set(cell.holes.map(({ member }) => member))
    const anchor: Mount = { ...mount, plate: { ...mount.plate, slots }, needs: { members: 1, rows: [WIRE_ROW] } }
    return substrate.holes(anchor, { x: cell.pattern.x, y })
      .filter(takes)
      .map(({ slot: _, ...place }) => ({ ...place, secures: true as const, y }))
      .sort((a, b) => Number(own.has(b.member)) - Number(own.has(a.member)) || aside(a) - aside(b))
  }
  const isFree = ({ x, y }: Point) => spansAt(y, length, of).some(({ from, to }) => x >= from - 1e-6 && x <= to + 1e-6)
  const isDead = ({ x, y }: Point) => built.dead.some(dead => Math.hypot(dead.x - x, dead.y - y) < keepOff)
  const issued = issuedAt(cell, built)
  if (issued && isFree(issued) && !isDead(issued) && takes(at(issued))) return at(issued)
  for (const y of heightsFor(cell, length)) {
    const place = placeAt(y).find(each => !isDead(each))
    if (place) return place
  }
  return undefined
}

/**
 * The anchor's hole by its lasting name: as it was drilled there; otherwise the name that was issued, or that of one
 * which failed, but never that of another that holds; otherwise the next that its screen never had.
 */
export function wireId(screen: string, place: Point, built: AsBuilt): { id: string, rank: number } {
  const made = madeFor(screen, built)
  const taken = new Set(made.map(({ hole }) => hole))
  const planned = built.issued?.arrays.flatMap(({ plates }) => plates.flatMap(({ holes }) => holes)) ?? []
  const known = [...planned.map(({ id }) => id), ...built.dead.map(({ hole }) => hole)]
    .filter(id => isHoleIn(screen, WIRE_ROW, id) && !taken.has(id))
  const next = holeId(screen, WIRE_ROW, 1 + Math.max(0, ...[...taken].map(numberOfHole)))
  const id = made.find(hole => isAt(hole, place))?.hole ?? known[0] ?? next
  return { id, rank: numberOfHole(id) }
}
