import { expose } from 'comlink'
import type { Mount, PlanContext, ScreenArray, Wall } from '~~/core/job'
import type { AsBuilt } from '~~/core/log'
import { planWall, type WallPlan } from '~~/core/plan'
import { remediesFor, type Remedy } from '~~/core/plan/remedies'

/** What takes longer than the plan of the moment; it tells how far it is, 0 to 1. */
const studies = {
  /** What else would hold an array. */
  remedies: (array: ScreenArray, wall: Wall, context: PlanContext, built: AsBuilt, offered: Mount[], progress: (share: number) => Promise<void>): Remedy[] =>
    remediesFor(array, wall, context, built, offered, undefined, share => void progress(share)),
  /** Several ways to arrange a wall, each planned. */
  async plans(walls: Wall[], context: PlanContext, built: AsBuilt, progress: (share: number) => Promise<void>): Promise<WallPlan[]> {
    const plans: WallPlan[] = []
    for (const wall of walls) {
      plans.push(planWall(wall, context, built))
      await progress(plans.length / walls.length)
    }
    return plans
  },
}

export type Studies = typeof studies

expose(studies)
