import { expose } from 'comlink'
import { planWall, type WallPlan } from '~~/core/plan'
import type { Catalogue, Rules, Wall } from '~~/core/job'

const planner = {
  plan: (wall: Wall, catalogue: Catalogue, rules: Rules): WallPlan => planWall(wall, { catalogue, rules }),
}

export type Planner = typeof planner

expose(planner)
