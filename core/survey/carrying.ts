import { structureKindOf, type Rules, type Wall } from '../job'
import type { CarryingWall } from './pieces'

/**
 * The wall as it carries: where the firm fixes into furring alone, the furring strips are its
 * members, and what lies over them its covering; the masonry behind counts no more.
 */
export function carryingWall(wall: Wall, { furring }: Rules): CarryingWall {
  const at = wall.covering.findIndex(({ material }) => material === 'furring')
  const { masonry } = structureKindOf(wall.structure)
  if (furring !== 'into-furring' || at < 0 || !masonry) return wall
  const { width, thickness, spacing } = wall.covering[at]!
  const { specificGravity, members } = wall.structure
  return {
    ...wall,
    battens: true,
    structure: {
      kind: 'wood-stud', memberDepth: thickness,
      ...width !== undefined && { memberWidth: width }, ...spacing !== undefined && { spacing }, ...specificGravity !== undefined && { specificGravity }, ...members && { members },
    },
    covering: wall.covering.slice(at + 1),
  }
}
