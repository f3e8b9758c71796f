import type { Interval } from '../geometry'
import { subtract } from '../intervals'
import type { Wall } from '../job'
import { isFramed, type Member } from '../survey'

/**
 * A bay: the stretch between two neighbouring members that a cut-out may take, and the members left and right of it, by
 * index; absent at the wall's ends.
 */
export interface Bay extends Interval { left?: number, right?: number }

/** A cut-out keeps so far from a member, mm, and farther by what is not sure of it. */
const BESIDE = 10
/** How many σ of a member's place are kept clear of: 95 % to one side. */
const SURE = 1.645

/**
 * The bays of a framed wall from the left, as narrow as the members may stand; none where the wall is solid.
 *
 * @example
 * // studs of 38 mm at 400 and 800, known for sure: between them 429 to 771 may be cut
 */
export function baysOf(wall: Wall, members: Member[]): Bay[] {
  if (!isFramed(wall)) return []
  const inOrder = members.map((member, index) => ({ index, ...member })).sort((a, b) => a.centre - b.centre)
  const blocked = inOrder.map(({ centre, width, sd }) => ({ from: centre - width / 2 - BESIDE - SURE * sd, to: centre + width / 2 + BESIDE + SURE * sd }))
  return subtract([{ from: BESIDE, to: wall.width - BESIDE }], blocked).filter(({ from, to }) => to - from > 1).map((bay) => {
    const middle = (bay.from + bay.to) / 2
    const left = inOrder.filter(({ centre }) => centre < middle).at(-1)
    const right = inOrder.find(({ centre }) => centre > middle)
    return { ...bay, ...left && { left: left.index }, ...right && { right: right.index } }
  })
}
