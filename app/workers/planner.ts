import type { PlanContext, Wall } from '~~/core/job'
import type { AsBuilt } from '~~/core/log'
import type { Placed } from '~~/core/mount'
import { placeWall, planWall, pipeline, type WallPlan } from '~~/core/plan'
import { share } from '../utils/share'

const through = pipeline()
/**
 * What was asked of last: what comes from the page is a copy each time, and what did not change in it is taken from
 * there.
 */
let last: { wall: Wall, context: PlanContext, built: AsBuilt } | undefined
const asBefore = (wall: Wall, context: PlanContext, built: AsBuilt) => last = share(last, { wall, context, built })

/** What is calculated of the open wall, beside the page. */
export const planner = {
  plan(wall: Wall, context: PlanContext, built: AsBuilt): WallPlan {
    const now = asBefore(wall, context, built)
    return planWall(now.wall, now.context, now.built, through)
  },
  placed(wall: Wall, context: PlanContext, built: AsBuilt): Placed[] {
    const now = asBefore(wall, context, built)
    return placeWall(now.wall, now.context, now.built, through)
  },
}

export type Planner = typeof planner
