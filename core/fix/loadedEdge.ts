import { isWoodScrew, WOOD_DIAMETERS } from '../fastening'
import type { Fastener } from '../job'
import type { Hole } from '../mount'
import { memberAt, piecesOf, type Member } from '../survey'
import type { LoadCase } from './cases'
import { shearOf, type FastenerLoad } from './group'
import type { Strength } from './strength'

/**
 * A screw whose load is chiefly across the grain, towards an edge that is nearer than the standard asks for then; mm.
 */
export interface LoadedEdge { hole: Hole, case: LoadCase, edge: number, least: number }

/**
 * The standard gives distances for loads along and across the grain and none between (NDS table 12.5.1C): up to
 * this angle to the grain a load is counted as along it, beyond as across.
 */
const ACROSS = 45
/** A load across the grain of less than this share of what may be borne that way is let pass. */
const SLIGHT = 0.1

/** The fasteners of a group that a case pushes across the grain towards an edge nearer than four diameters. */
export function loadedEdges(
  name: LoadCase,
  each: FastenerLoad[],
  places: Hole[],
  {
    fastener,
    members,
    strength,
  }: { fastener: Fastener | undefined, members: Member[], strength: Strength | undefined },
): LoadedEdge[] {
  if (!fastener || !isWoodScrew(fastener) || !strength) return []
  const least = WOOD_DIAMETERS.loadedEdge * fastener.diameter
  return each.flatMap((load, n) => {
    const [{ angle }, hole] = [shearOf(load), places[n]!]
    const member = hole.member === undefined ? undefined : members[hole.member]
    if (angle <= ACROSS || !member || Math.abs(load.across) < SLIGHT * strength.shear(90)) return []
    const piece = piecesOf(memberAt(member, hole.y))[hole.ply ?? 0]!
    const edge = load.across > 0 ? piece.centre + piece.width / 2 - hole.x : hole.x - piece.centre + piece.width / 2
    return edge < least - 1e-9 ? [{ hole, case: name, edge, least }] : []
  })
}
