import type { Fastener } from '../job'

/**
 * Least distances of screws in wood in their own diameters (NDS tables 12.5.1A to 12.5.1C): to an edge, to one that a
 * load across the grain pushes towards, to a member's end, and to one another.
 */
export const WOOD_DIAMETERS = { edge: 1.5, loadedEdge: 4, end: 7, spacing: 4 } as const
/** Least distance from a fastener to the nearest face of a mortar joint where its maker gives none, mm. */
const JOINT_DISTANCE = 32

/** Least distance from the fastener's centre to the edge of a piece of framing, mm; 0 while no fastener is chosen. */
export function edgeDistanceOf(fastener: Fastener | undefined): number {
  return fastener?.edgeDistance ?? WOOD_DIAMETERS.edge * (fastener?.diameter ?? 0)
}

/** Least distance from the fastener's centre to the nearest face of a joint, mm. */
export function jointDistanceOf(fastener: Fastener | undefined): number {
  return fastener?.minJointDistance ?? JOINT_DISTANCE
}
