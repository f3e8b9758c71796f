import { expose } from 'comlink'
import type { Catalogue, Mount, Rules, ScreenArray, Wall } from '~~/core/job'
import { placedOf, type Placed } from '~~/core/mount'
import { planWall, type WallPlan } from '~~/core/plan'
import { remediesFor, type Remedy } from '~~/core/remedies'

const planner = {
  plan: (wall: Wall, catalogue: Catalogue, rules: Rules): WallPlan => planWall(wall, { catalogue, rules }),
  placed: (wall: Wall, catalogue: Catalogue, rules: Rules): Placed[] => placedOf(planWall(wall, { catalogue, rules }).arrays),
  remedies: (array: ScreenArray, wall: Wall, catalogue: Catalogue, rules: Rules, offered: Mount[]): Remedy[] => remediesFor(array, wall, { catalogue, rules }, offered),
}

export type Planner = typeof planner

expose(planner)
