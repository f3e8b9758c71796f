import type { Interval } from '../geometry'
import type { Fastener, Slot } from '../job'
import { courseAt, bondShift, type Coursing, type Member } from '../survey'

/**
 * Where the wall can take a fastener along one axis: centre ± `usable`, mm. `index` is the member's
 * in the wall's list, or the block's or course's own count.
 */
export interface FixingZone extends Interval { index: number, centre: number, usable: number }

/** One-sided 95 % of a normal distribution: how far a member's or a joint's middle is allowed to be out. */
export const ONE_SIDED_95 = 1.645
/** Edge distance of a lag screw or wood screw in its own diameters (NDS table 12.5.1C). */
const EDGE_DIAMETERS = 1.5
/** Least distance from a fastener to the nearest face of a mortar joint where its maker gives none, mm. */
const JOINT_DISTANCE = 32

/** Least distance from the fastener's centre to the member's edge, mm; 0 while no fastener is chosen. */
export function edgeDistanceOf(fastener: Fastener | undefined): number {
  return fastener?.edgeDistance ?? EDGE_DIAMETERS * (fastener?.diameter ?? 0)
}

/** Least distance from the fastener's centre to the nearest face of a joint, mm. */
export function jointDistanceOf(fastener: Fastener | undefined): number {
  return fastener?.minJointDistance ?? JOINT_DISTANCE
}

const zone = (index: number, centre: number, usable: number): FixingZone => ({ index, centre, usable, from: centre - usable, to: centre + usable })

/**
 * The stretch of each member that can take the fastener: centre ± u with
 * u = half width − edge distance − 1.645·σ. Members too narrow or too uncertain
 * have an empty one, that no slot meets.
 */
export function zonesOf(members: Pick<Member, 'centre' | 'width' | 'sd'>[], edgeDistance: number): FixingZone[] {
  return members.map(({ centre, width, sd }, index) => zone(index, centre, width / 2 - edgeDistance - ONE_SIDED_95 * sd))
}

/** The stretches of modules that keep a distance from the joints between them, over so much of the wall. */
function clearOfJoints(origin: number, module: number, { joint }: Coursing, distance: number, sd: number | undefined, reach: number): FixingZone[] {
  const usable = (module - joint) / 2 - distance - ONE_SIDED_95 * (sd ?? 0)
  const first = Math.floor(-origin / module) - 1
  return Array.from({ length: Math.ceil(reach / module) + 2 }, (_, n) => zone(first + n, origin + (first + n + 0.5) * module, usable))
}

/** Heights at which a hole keeps its distance from the bed joints, course by course. */
export function coursesOf(coursing: Coursing, distance: number, height: number): FixingZone[] {
  return clearOfJoints(coursing.origin.y, coursing.height, coursing, distance, coursing.sd.y, height)
}

/** Places along the course at a height at which a hole keeps its distance from the head joints, block by block. */
export function blocksOf(coursing: Coursing, y: number, distance: number, width: number): FixingZone[] {
  const origin = coursing.origin.x + bondShift(coursing, courseAt(coursing, y))
  return clearOfJoints(origin, coursing.length, coursing, distance, coursing.sd.x, width)
}

/** A slot as it lies on the wall once its plate is at `plateX`. */
export function slotOnWall(slot: Pick<Slot, 'x1' | 'x2'>, plateX: number): Interval {
  return { from: plateX + slot.x1, to: plateX + slot.x2 }
}
