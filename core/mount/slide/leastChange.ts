import { screenId, type Cell } from '../../arrange'
import type { Interval, Point } from '../../geometry'
import { liesIn } from '../../intervals'
import type { Mount, ScreenArray, Wall } from '../../job'
import { same } from '../../job/merge'
import { memoize } from '../../memo'
import type { AsBuilt, IssuedPlate } from '../../log'
import { cheapestChain, costsLess, plus, type Cost, type Link } from './cheapestChain'
import { barredByPin, pinFor } from './made'
import { barredFor, choiceFor, type Placing } from './placing'
import { holdingPlaces, requirementsNear } from './requirement'
import { fillSeat, seatBreaks, type SeatedHole, type StandingHole } from './seats'
import { WIRE_ROW } from '../wire'
import type { Substrate } from './substrate'

/** What was issued of an array that is still as it was issued. */
export interface StandingArray { shift: Point, plateOf: (screen: string) => IssuedPlate | undefined }

/** What people decided of an array; which slots are used may follow from the house rules. */
const decided = ({ needs: _, ...array }: ScreenArray) => array

/**
 * What was issued of an array, where it is decided now as it was then: it then stays as it was issued, but for what has
 * to move.
 */
export function standingArray(array: ScreenArray, { issued }: AsBuilt): StandingArray | undefined {
  const found = issued?.arrays.find(each => each.array.id === array.id)
  if (!found || array.carrier || !same(decided(found.array), decided(array))) return undefined
  const plates = new Map(found.plates.map(plate => [plate.screen, plate]))
  return { shift: found.shift, plateOf: screen => plates.get(screen) }
}

const SAME = 1e-6
/**
 * In this order: plates that leave made holes, plates that are not held, plates that move, marks that move, and by how
 * much, mm.
 */
const FREE: Cost = [0, 0, 0, 0, 0]
/** Whether nothing moves but marks. */
const standsStill = ([left, unheld, plates]: Cost) => left! + unheld! + plates! === 0
/** Whether a place is none that made holes allow. */
const leaves = (allowed: Interval[] | undefined, at: number) =>
  allowed && !allowed.some(({ from, to }) => liesIn({ from: from - SAME, to: to + SAME }, at)) ? 1 : 0

/**
 * The holes of a plate as they stand: where they were issued, those that are made where they were made; none of them is
 * drilled anew.
 */
export function standingHoles(
  array: ScreenArray,
  cell: Pick<Cell, 'row' | 'column'>,
  mount: Mount,
  { holes }: IssuedPlate,
  built: AsBuilt,
): StandingHole[] {
  const made = new Map(pinFor(screenId(array, cell.row, cell.column), mount, built)?.made.map(hit => [hit.hole, hit]))
  const byHand = (id: string, row: string) =>
    array.holes?.some(
      hole =>
        hole.row === cell.row && hole.column === cell.column && hole.of === row && id.endsWith(`-${row}-${hole.rank}`),
    ) ?? false
  const ofPlate = holes.filter(({ row }) => row !== WIRE_ROW)
  const issued = ofPlate.map(({ id, row, x, y }): StandingHole => {
    const hit = made.get(id)
    made.delete(id)
    return hit ? { id, row, x: hit.x, y: hit.y, fixed: true } : { id, row, x, y, fixed: byHand(id, row) }
  })
  return [
    ...issued,
    ...[...made.values()].map(({ hole, row, x, y }): StandingHole => ({ id: hole, row, x, y, fixed: true })),
  ].sort((a, b) => a.x - b.x)
}

/**
 * The holes that belong to each seat of a plate: all of its row, or, where a row has a seat for each fastener, the one
 * that stands at it.
 */
function bySeat(seats: ReturnType<Substrate['seats']>, holes: StandingHole[]): StandingHole[][] {
  const left = new Map<string, StandingHole[]>()
  for (const hole of holes) left.set(hole.row, [...left.get(hole.row) ?? [], hole])
  return seats.map(({ row, wanted }, n) =>
    seats.some((other, k) => k !== n && other.row === row)
      ? (left.get(row)?.splice(0, wanted) ?? [])
      : (left.get(row) ?? []),
  )
}

/**
 * The holes of a plate at a place with as little moved as can be; undefined where not all that it needs find a place.
 */
export function leastHoles(
  substrate: Substrate,
  mount: Mount,
  centre: Point,
  holes: StandingHole[],
): SeatedHole[] | undefined {
  const seats = substrate.seats(mount, centre.y)
  const standing = bySeat(seats, holes)
  const filled = seats.map((seat, n) => fillSeat(seat, centre, standing[n]!))
  return filled.every(each => each !== undefined) ? filled.flat() : undefined
}

/**
 * The holes of a plate where they are, with what each meets there; undefined where one of them is under no slot any
 * more, or there are too few.
 */
export function unmoved(
  { plate, needs }: Mount,
  centre: Point,
  holes: StandingHole[],
  substrate: Substrate,
): SeatedHole[] | undefined {
  const placed = holes.flatMap(({ id, row, x, y }): SeatedHole[] => {
    const slot = plate.slots.findIndex(
      each =>
        each.row === row
        && liesIn({ from: centre.x + each.x1 - SAME, to: centre.x + each.x2 + SAME }, x)
        && Math.abs(centre.y + each.y - y) < 5,
    )
    return slot < 0 ? [] : [{ id, row, slot, x, y, ...substrate.at(x, y), stays: true }]
  })
  const whole = placed.length === holes.length && placed.length === needs.members * needs.rows.length
  return whole ? needs.rows.flatMap(name => placed.filter(({ row }) => row === name)) : undefined
}

/** A plate at a height with its holes as they stand, and where made ones let its centre be along the wall. */
interface Placed {
  substrate: Substrate
  mount: Mount
  y: number
  issued: IssuedPlate | undefined
  holes: StandingHole[]
  allowed: Interval[] | undefined
}

/** What a plate costs at a place along the wall. */
const costAt = ({ substrate, mount, y, issued, holes, allowed }: Placed) =>
  memoize((x: number): Cost => {
    const left = leaves(allowed, x)
    const moves = issued && Math.hypot(x - issued.centre.x, y - issued.centre.y) > SAME ? 1 : 0
    const placed = leastHoles(substrate, mount, { x, y }, holes)
    if (!placed) return [left, 1, moves, 0, 0]
    const was = new Map(holes.map(hole => [hole.id, hole]))
    const moved = placed.filter(({ stays }) => !stays)
    return [
      left,
      0,
      moves,
      moved.length,
      moved.reduce((sum, hole) => sum + Math.hypot(hole.x - was.get(hole.id)!.x, hole.y - was.get(hole.id)!.y), 0),
    ]
  })

/** What a plate costs at a height: it takes all its marks that are not made with it. */
const costUp
  = (held: Interval[], issued: IssuedPlate | undefined, open: number, asks: boolean, allowed: Interval[] | undefined) =>
    (y: number): Cost => {
      const by = issued ? Math.abs(y - issued.centre.y) : 0
      const moves = by > SAME ? 1 : 0
      return [
        leaves(allowed, y),
        asks && !held.some(stretch => liesIn(stretch, y)) ? 1 : 0,
        moves,
        moves * open,
        by * open,
      ]
    }

/** One plate on its line: where it is while nothing is shifted, how far it slides, and what places cost. */
interface Mover extends Omit<Link, 'range'> { nominal: number, travel: number, line: number, issued?: number }

const within = ({ nominal, travel }: Mover, shift: number): Interval => ({
  from: nominal + shift - travel,
  to: nominal + shift + travel,
})

/** Parts of a line that cannot touch each other whatever they do, and so are placed by themselves. */
function partsOf(line: number[], movers: Mover[]): number[][] {
  const parts: number[][] = []
  line.forEach((n, k) => {
    const [mover, before] = [movers[n]!, k > 0 ? movers[line[k - 1]!]! : undefined]
    if (!before || mover.nominal - before.nominal - before.half - mover.half >= mover.travel + before.travel)
      parts.push([n])
    else parts.at(-1)!.push(n)
  })
  return parts
}

/** What a part costs where it was issued, where it can all stay there and be held; undefined where it cannot. */
function stays(part: Link[], issued: (number | undefined)[]): { cost: Cost, at: number[] } | undefined {
  let cost = FREE
  for (const [n, { range, barred, half, cost: costOf }] of part.entries()) {
    const [at, before] = [issued[n], n > 0 ? issued[n - 1] : undefined]
    if (at === undefined || !liesIn(range, at) || barred.some(({ from, to }) => at > from + SAME && at < to - SAME))
      return undefined
    if (before !== undefined && at - before < half + part[n - 1]!.half - SAME) return undefined
    const own = costOf(at)
    if (!standsStill(own)) return undefined
    cost = plus(cost, own)
  }
  return { cost, at: issued as number[] }
}

/**
 * The places of plates along one axis that change least; of shifts of the whole array that change as little, the one
 * nearest to that which was issued.
 */
function moveLeast(movers: Mover[], tolerance: number, issuedShift: number): { shift: number, at: number[] } {
  const lines = [...new Set(movers.map(({ line }) => line))].map(line =>
    movers
      .flatMap((mover, n) => (mover.line === line ? [n] : []))
      .sort((a, b) => movers[a]!.nominal - movers[b]!.nominal),
  )
  const parts = lines.flatMap(line => partsOf(line, movers))
  const solveAt = (shift: number) => {
    const at = movers.map(() => 0)
    let cost = FREE
    for (const part of parts) {
      const links = part.map((n): Link => ({ ...movers[n]!, range: within(movers[n]!, shift) }))
      const together = stays(links, part.map(n => movers[n]!.issued)) ?? cheapestChain(links)
      const solved = together ? [together] : links.map(link => cheapestChain([link])!)
      cost = solved.reduce((sum, each) => plus(sum, each.cost), cost)
      solved.flatMap(each => each.at).forEach((x, i) => { at[part[i]!] = x })
    }
    return { shift, at, cost }
  }
  const most = Math.floor(tolerance + 1e-9)
  const shifts = Array.from({ length: 2 * most + 1 }, (_, n) => n - most).sort(
    (a, b) => Math.abs(a - issuedShift) - Math.abs(b - issuedShift),
  )
  let best = solveAt(issuedShift)
  for (const shift of shifts) {
    // Where all is held and no plate moves, another shift could move no fewer marks.
    if (standsStill(best.cost)) break
    const tried = solveAt(shift)
    if (costsLess(tried.cost, best.cost)) best = tried
  }
  return best
}

/** What keeps a plate from moving at all along an axis is tried at its issued place first. */
const breaksOf = (places: (number | undefined)[]) => places.filter(place => place !== undefined)

/** A plate that is to move as little as it can: what a person decided of it, its holes, and where it was issued. */
interface Movable {
  cell: Cell
  mount: Mount
  own: ReturnType<typeof choiceFor>
  pin: ReturnType<typeof pinFor>
  issued: ReturnType<StandingArray['plateOf']>
  holes: ReturnType<typeof standingHoles>
}

/** How a plate may move up and down, and what each height costs. */
function moverUp({ cell, mount, own, pin, issued, holes }: Movable, substrate: Substrate, tolerance: number): Mover {
  const requirements = substrate.up(mount)
  const nominal = cell.pattern.y - mount.interface.y + (own?.heightShift ?? 0)
  const free = requirements.length > 0 || pin !== undefined
  const travel = own?.heightShift === undefined && free ? (mount.adjust?.height ?? 0) : 0
  const reach = { from: nominal - travel - tolerance, to: nominal + travel + tolerance }
  const held = holdingPlaces(requirementsNear(requirements, reach), reach)
  const unmade = holes.filter(({ fixed }) => !fixed).length
  return {
    nominal,
    travel,
    ...(issued && { issued: issued.centre.y }),
    line: cell.column,
    half: mount.plate.height / 2,
    barred: barredByPin(pin?.y, nominal, travel + tolerance),
    breaks: breaksOf([issued?.centre.y, ...held.flatMap(({ from, to }) => [from, to])]),
    cost: memoize(costUp(held, issued, unmade, requirements.length > 0, pin?.y)),
  }
}

/** How a plate at a height may move along the wall, and what each place costs. */
function moverAlong(
  { cell, mount, own, pin, issued, holes }: Movable, wall: Wall, substrate: Substrate, y: number, tolerance: number,
): Mover {
  const nominal = cell.pattern.x - mount.interface.x + (own?.lateralShift ?? 0)
  const travel = own?.lateralShift === undefined ? (mount.adjust?.lateral ?? 0) : 0
  const reach = { from: nominal - travel - tolerance, to: nominal + travel + tolerance }
  const seats = substrate.seats(mount, y)
  return {
    nominal,
    travel,
    ...(issued && { issued: issued.centre.x }),
    line: cell.row,
    half: mount.plate.width / 2,
    barred: [...barredFor(wall, mount, y), ...barredByPin(pin?.x, nominal, travel + tolerance)],
    breaks: breaksOf([issued?.centre.x, ...seatBreaks(seats, bySeat(seats, holes), reach)]),
    cost: costAt({ substrate, mount, y, issued, holes, allowed: pin?.x }),
  }
}

/**
 * Places the plates of an array that is as it was issued with the least change: fewest plates that leave a made hole,
 * then most plates held, then the fewest that move, then the fewest marks that move, then the least that these move in
 * all. Exact; made holes stay.
 *
 * @param cells as they lie before any shift
 */
export function placeLeast(
  { array, cells, mountOf }: { array: ScreenArray, cells: Cell[], mountOf: (cell: Cell) => Mount },
  { wall, substrate }: { wall: Wall, substrate: Substrate },
  built: AsBuilt,
  standing: StandingArray,
): Placing {
  const own = cells.map(cell => choiceFor(array, cell))
  const idOf = (cell: Cell) => screenId(array, cell.row, cell.column)
  const pins = cells.map(cell => pinFor(idOf(cell), mountOf(cell), built))
  const issued = cells.map(cell => standing.plateOf(idOf(cell)))
  const tolerance = { x: array.shiftTolerance?.x ?? 0, y: array.shiftTolerance?.y ?? 0 }
  const holes = cells.map((cell, n) => (issued[n] ? standingHoles(array, cell, mountOf(cell), issued[n], built) : []))

  const plates = cells.map((cell, n): Movable => ({
    cell, mount: mountOf(cell), own: own[n], pin: pins[n], issued: issued[n], holes: holes[n]!,
  }))
  const up = moveLeast(plates.map(plate => moverUp(plate, substrate, tolerance.y)), tolerance.y, standing.shift.y)
  const along = moveLeast(
    plates.map((plate, n) => moverAlong(plate, wall, substrate, up.at[n]!, tolerance.x)),
    tolerance.x,
    standing.shift.x,
  )
  const shift = { x: along.shift, y: up.shift }
  return {
    shift,
    plates: cells.map((cell, n) => {
      const mount = mountOf(cell)
      return {
        lateralShift: along.at[n]! - (cell.pattern.x - mount.interface.x) - shift.x,
        heightShift: up.at[n]! - (cell.pattern.y - mount.interface.y) - shift.y,
      }
    }),
  }
}
