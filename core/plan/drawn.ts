import type { Marking } from '../mark'
import type { WallPlan } from '.'

/**
 * What of a plan the wall is drawn by: structure, screens, plates and holes, datum and level line. It is kept with the
 * wall, so that the wall is drawn at once while its plan is calculated again. Nothing is marked or drilled from it.
 */
export interface DrawnPlan extends Pick<WallPlan, 'members' | 'coursing' | 'arrays' | 'piece'> {
  marking: Pick<Marking, 'datum' | 'levelLine'>
}

/** A drawn plan as it is kept: by which version of the program, and of which version of the wall. */
export interface KeptDrawing { program: string, version: number, plan: DrawnPlan }

/**
 * The part of a plan that draws the wall. It is plain data: what comes back from JSON is the same.
 *
 * @example
 * drawnOf(plan).marking.levelLine?.y // 1500
 */
export function drawnOf({ members, coursing, arrays, piece, marking: { datum, levelLine } }: WallPlan): DrawnPlan {
  return {
    members, arrays, marking: { datum, ...levelLine && { levelLine } },
    ...coursing && { coursing }, ...piece && { piece },
  }
}
