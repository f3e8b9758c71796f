import type { Job, Wall } from '../core/job'
import { planWall, type WallPlan } from '../core/plan'
import { hiddenWall, INSTRUMENTS, readWall, type HiddenWall } from '../core/survey/simulate'
import { gridJob } from './jobs'

/** Where the next nail goes, mm along the wall, or nowhere. */
type Strategy = (plan: WallPlan, wall: Wall) => { x: number, y: number } | undefined

/** Nails that settle nothing after so many are given up. */
const MOST = 80

const unproved = (plan: WallPlan) => plan.findings.some(({ code }) => code === 'framing-unproved')

/** Takes every member in turn from the left, as someone does who does not know which ones the plates will use. */
const sweep = (from: number, to: number): Strategy => ({ members }) => {
  const next = members.find(({ proved, centre }) => !proved && centre >= from && centre <= to)
  return next && { x: next.centre, y: 1500 }
}

const STRATEGIES: Record<string, (wall: Wall, plan: WallPlan) => Strategy> = {
  'swept from the left': wall => sweep(0, wall.width),
  'swept behind the screens': (_, { arrays }) => sweep(arrays[0]!.outline.x - 100, arrays[0]!.outline.x + arrays[0]!.outline.width + 100),
  'the next probe followed': () => ({ nextProbe }) => nextProbe,
}

/** Nails until every planned hole is proved; undefined where it is not reached. */
function nailsNeeded(hidden: HiddenWall, read: Wall, job: Job, strategy: (wall: Wall, plan: WallPlan) => Strategy): number | undefined {
  const wall: Wall = { ...read, evidence: [...read.evidence ?? []], arrays: job.walls[0]!.arrays }
  let plan = planWall(wall, job)
  const choose = strategy(wall, plan)
  for (let nails = 0; nails < MOST; nails++) {
    if (!unproved(plan)) return nails
    const next = choose(plan, wall)
    if (!next) return undefined
    wall.evidence = [...wall.evidence!, { id: `n${nails}`, y: next.y, ...INSTRUMENTS.probe(hidden.members, next.x) }]
    plan = planWall(wall, job)
  }
  return undefined
}

/** Mean number of nails until all is proved by each way of choosing, over walls on which every way gets there. */
export function probingStudy(walls: number, seed = 1): Record<string, Record<string, string | number>> {
  const job = gridJob(2, 3)
  const counts = Array.from({ length: walls }, (_, n) => {
    const hidden = hiddenWall(seed + n)
    job.walls[0]!.arrays[0]!.at.x = { edge: 'centre', value: hidden.width / 2 }
    const { wall } = readWall(hidden, 'edges', seed + 7919 * (n + 1))
    return Object.values(STRATEGIES).map(strategy => nailsNeeded(hidden, wall, job, strategy))
  })
  const reached = counts.filter(row => row.every(count => count !== undefined)) as number[][]
  const mean = (n: number) => reached.reduce((sum, row) => sum + row[n]!, 0) / reached.length
  return Object.fromEntries(Object.keys(STRATEGIES).map((name, n) => [name, {
    'walls': reached.length,
    'nails, mean': mean(n).toFixed(2),
    'against sweeping from the left': `${(100 * (mean(n) / mean(0) - 1)).toFixed(0)} %`,
    'got there': `${counts.filter(row => row[n] !== undefined).length} of ${walls}`,
  }]))
}
