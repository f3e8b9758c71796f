import { expose } from 'comlink'
import type { Mount, PlanContext, ScreenArray, Wall } from '~~/core/job'
import type { AsBuilt } from '~~/core/log'
import { placedOf, type Placed } from '~~/core/mount'
import { planWall, type WallPlan } from '~~/core/plan'
import { remediesFor, type Remedy } from '~~/core/remedies'

const planner = {
  plan: (wall: Wall, context: PlanContext, built: AsBuilt): WallPlan => planWall(wall, context, built),
  placed: (wall: Wall, context: PlanContext, built: AsBuilt): Placed[] => placedOf(planWall(wall, context, built).arrays),
  remedies: (array: ScreenArray, wall: Wall, context: PlanContext, built: AsBuilt, offered: Mount[]): Remedy[] => remediesFor(array, wall, context, built, offered),
}

export type Planner = typeof planner

expose(planner)
