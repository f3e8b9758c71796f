import { isBacking, structureKindOf, type Base, type Rules, type Wall } from '../job'
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
      kind: 'wood-stud',
      memberDepth: thickness,
      ...(width !== undefined && { memberWidth: width }),
      ...(spacing !== undefined && { spacing }),
      ...(specificGravity !== undefined && { specificGravity }),
      ...(members && { members }),
    },
    covering: wall.covering.slice(at + 1),
  }
}

/**
 * The wall as it carries a fastener that is made for a sheet in its build-up: that sheet is its structure then, and
 * what lies over it its covering. The sheet is taken to be behind all of the wall.
 */
export function wallFor(wall: Wall, base: Base | undefined): Wall {
  const at = wall.covering.findLastIndex(layer => isBacking(layer) && layer.material === base)
  if (base === undefined || at < 0) return wall
  const { thickness } = wall.covering[at]!
  const { gravity } = structureKindOf({ kind: base })
  const sheet = gravity === undefined ? { gauge: thickness } : { memberDepth: thickness, specificGravity: gravity }
  return { ...wall, structure: { kind: base, thickness, ...sheet }, covering: wall.covering.slice(at + 1) }
}
