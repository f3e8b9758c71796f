import type { Mount, PlanContext, ScreenArray, Wall } from '~~/core/job'
import type { Alignment, LinearSolver, Trued } from '~~/core/true'
import type { AsBuilt } from '~~/core/log'
import { study, type Causes, type Marking, type StudiedWall, type Study } from '~~/core/study'
import { planWall, type WallPlan } from '~~/core/plan'
import { ON_DEMAND } from '~~/core/plan/onDemand'
import { remediesFor, type Remedy } from '~~/core/plan/remedies'

/** Is told how far something is, 0 to 1. */
type Progress = (share: number) => Promise<void>
/** A wall with what it is planned with. */
interface Planned { wall: Wall, context: PlanContext, built: AsBuilt }
/** What is tried so many times, and from which seed. */
export interface Trials { wall: StudiedWall, causes: Causes, trials: number, seed: number, by: Marking }

/**
 * What takes longer than the current plan; it tells how far it is.
 *
 * @param linearSolver gives the solver of linear programs, loaded when it is first needed
 */
export const studiesWith = (linearSolver: () => Promise<LinearSolver>) => ({
  /** What else would hold an array, found within so long, ms. */
  remedies(
    array: ScreenArray,
    { wall, context, built }: Planned,
    offered: Mount[],
    within: number,
    progress: Progress,
  ): Remedy[] {
    const end = Date.now() + within
    return remediesFor(
      { array, document: wall },
      context,
      built,
      offered,
      {
        tell: share => void progress(share),
        isOver: () => Date.now() > end,
      },
    )
  },
  /** Several ways to arrange a wall, each planned. */
  async plans(walls: Wall[], context: PlanContext, built: AsBuilt, progress: Progress): Promise<WallPlan[]> {
    const plans: WallPlan[] = []
    for (const wall of walls) {
      plans.push(planWall(wall, context, built))
      await progress(plans.length / walls.length)
    }
    return plans
  },
  /** How an array is trued from its last readings. */
  align: async (read: Trued): Promise<Alignment | undefined> => ON_DEMAND.true(read, await linearSolver()),
  /** How likely an array is to close, by trial. */
  study: ({ wall, causes, trials, seed, by }: Trials, progress: Progress): Study =>
    study(wall, causes, { trials, seed }, by, share => void progress(share)),
})

export type Studies = ReturnType<typeof studiesWith>
