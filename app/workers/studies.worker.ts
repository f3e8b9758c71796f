import { expose } from 'comlink'
import highs from 'highs'
import runtime from 'highs/runtime?url'
import type { LogEntry, Mount, PlanContext, ScreenArray, Wall } from '~~/core/job'
import type { ArrayPlan } from '~~/core/mount'
import { align, type Alignment, type LinearSolver } from '~~/core/true'
import type { AsBuilt } from '~~/core/log'
import { study, type Causes, type Marking, type StudiedWall, type Study } from '~~/core/study'
import { planWall, type WallPlan } from '~~/core/plan'
import { remediesFor, type Remedy } from '~~/core/plan/remedies'

let solver: Promise<LinearSolver> | undefined
/** HiGHS as WebAssembly, fetched when it is first wanted. */
const linearSolver = (): Promise<LinearSolver> => solver ??= highs({ locateFile: () => runtime }).then(loaded => (program) => {
  const { Status, Columns } = loaded.solve(program)
  return { optimal: Status === 'Optimal', value: (name) => {
    const column = Columns[name]
    return column && 'Primal' in column ? column.Primal : 0
  } }
})

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
  /** How an array is trued from its last readings. */
  align: async (array: ScreenArray, plan: ArrayPlan, wall: Pick<Wall, 'id' | 'formerId'>, log: LogEntry[], context: PlanContext): Promise<Alignment | undefined> =>
    align(array, plan, wall, log, context, await linearSolver()),
  /** How likely an array is to close, by trial. */
  study: (wall: StudiedWall, causes: Causes, trials: number, seed: number, by: Marking, progress: (share: number) => Promise<void>): Study =>
    study(wall, causes, trials, seed, by, share => void progress(share)),
}

export type Studies = typeof studies

expose(studies)
