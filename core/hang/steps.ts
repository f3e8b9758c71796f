import { isAt, type AsBuilt, type MadeHole } from '../log'
import type { ArrayPlan, Hole, Position } from '../mount'
import { screenLabel } from '../job/screenLabel'

/** One hole to make, in the order of the work. */
export interface HoleStep { hole: Hole, position: Position, label: string }

/** Every hole of a wall in the order of drilling: along each height from the top down, left to right. */
export function holeSteps(arrays: ArrayPlan[]): HoleStep[] {
  return arrays
    .flatMap(({ positions }) => positions.flatMap(position => (position.holes ?? []).map(hole => ({
      hole,
      position,
      label: `${screenLabel(position)} ${hole.row} ${hole.rank}`,
    }))))
    .sort((a, b) => Math.round((b.hole.y - a.hole.y) * 10) || a.hole.x - b.hole.x)
}

/** By id: what the drill met at each planned hole that is made where the plan has it. */
export function drilledHoles(arrays: ArrayPlan[], { holes }: AsBuilt): Map<string, MadeHole> {
  const planned = new Map(holeSteps(arrays).map(({ hole }) => [hole.id, hole]))
  return new Map(holes.flatMap((made) => {
    const hole = planned.get(made.hole)
    return hole && isAt(hole, made) ? [[made.hole, made] as const] : []
  }))
}

/**
 * Holes in the wall that nothing planned is made of: those that missed, and those that the plan has moved away from.
 */
export function leftBehind(arrays: ArrayPlan[], built: AsBuilt): MadeHole[] {
  const used = new Set(drilledHoles(arrays, built).values())
  return built.holes.filter(hole => !used.has(hole))
}
