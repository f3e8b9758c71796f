import type { Interval } from '../geometry'
import { subtract } from '../intervals'
import type { Wall } from '../job'
import { isFramed, memberAt, type Member } from '../survey'

/**
 * A bay: the stretch between two neighbouring members that a cut-out may take, and the members left and right of it, by
 * index; absent at the wall's ends.
 */
export interface Bay extends Interval { left?: number, right?: number }

/** A cut-out keeps so far from a member, mm, and farther by what is not sure of it. */
const BESIDE = 10
/** How many σ of a member's place are kept clear of: 95 % to one side. */
const SURE = 1.645

/** What a member may take up of the wall, and what a cut-out keeps clear of beside it. */
const keptBy = ({ centre, width, sd }: Member): Interval =>
  ({ from: centre - width / 2 - BESIDE - SURE * sd, to: centre + width / 2 + BESIDE + SURE * sd })

/**
 * The bays of a framed wall from the left, as narrow as the members may stand; none where the wall is solid.
 *
 * @example
 * // studs of 38 mm at 400 and 800, known for sure: between them 429 to 771 may be cut
 */
export function baysOf(wall: Wall, members: Member[]): Bay[] {
  if (!isFramed(wall)) return []
  const inOrder = members.map((member, index) => ({ index, ...member })).sort((a, b) => a.centre - b.centre)
  const free = subtract([{ from: BESIDE, to: wall.width - BESIDE }], inOrder.map(keptBy))
  return free.filter(({ from, to }) => to - from > 1).map((bay) => {
    const middle = (bay.from + bay.to) / 2
    const left = inOrder.filter(({ centre }) => centre < middle).at(-1)
    const right = inOrder.find(({ centre }) => centre > middle)
    return { ...bay, ...left && { left: left.index }, ...right && { right: right.index } }
  })
}

/**
 * Some bays between two heights, each as narrow as it is anywhere there: studs lean, and the farther from where they
 * were read, the less is their place known.
 *
 * @param heights from and to above the floor, mm
 * @example
 * // between studs at 400 and 800 that lean 10 mm/m to the right from 1000 up: at 2000 free from 439, not from 429
 */
export function baysBetween(bays: Bay[], members: Member[], { from, to }: Interval): Bay[] {
  if (members.every(({ lean }) => !lean)) return bays
  const edges = (index: number, edge: keyof Interval) =>
    [from, to].map(height => keptBy(memberAt(members[index]!, height))[edge])
  return bays.map(bay => ({
    ...bay,
    ...bay.left !== undefined && { from: Math.max(...edges(bay.left, 'to')) },
    ...bay.right !== undefined && { to: Math.min(...edges(bay.right, 'from')) },
  }))
}

/** The bay at a place, by index, or the nearest to it where a member stands there. */
export function bayNear({ bays }: { bays: Bay[] }, x: number): number {
  const at = bays.findIndex(({ from, to }) => x >= from - 1e-6 && x <= to + 1e-6)
  if (at >= 0) return at
  const off = bays.map(({ from, to }) => Math.max(from - x, x - to))
  return off.indexOf(Math.min(...off))
}
