import { expose } from 'comlink'
import type { Mount, PlanContext, ScreenArray, Wall } from '~~/core/job'
import { placedOf, type Placed } from '~~/core/mount'
import { planWall, type WallPlan } from '~~/core/plan'
import { remediesFor, type Remedy } from '~~/core/remedies'

const planner = {
  plan: (wall: Wall, context: PlanContext): WallPlan => planWall(wall, context),
  placed: (wall: Wall, context: PlanContext): Placed[] => placedOf(planWall(wall, context).arrays),
  remedies: (array: ScreenArray, wall: Wall, context: PlanContext, offered: Mount[]): Remedy[] => remediesFor(array, wall, context, offered),
}

export type Planner = typeof planner

expose(planner)
