import type { Job, Wall } from '../core/job'
import { planWall, type WallPlan } from '../core/plan'
import { hiddenWall, INSTRUMENTS, readWall, type HiddenWall } from '../core/survey/simulatedReadings'
import { gridJob } from './jobs'

/** Where the next nail goes, mm along the wall, or nowhere. */
type Strategy = (plan: WallPlan, wall: Wall) => { x: number, y: number } | undefined

/** Nails that settle nothing after so many are given up. */
const MOST = 40
/** What nails leave open of a member's width, mm: 1.645 σ of 0.7 at either face. */
const SPARE = 2.3

/** Whether every plate is held, by members that are proved. */
const isHeld = ({ findings, arrays: [array] }: WallPlan) =>
  array!.positions.every(({ plate }) => plate?.held) && !findings.some(({ code }) => code === 'framing-unproved')

/**
 * Takes every member in turn from the left, as someone does who does not know which ones the plates will use: a nail
 * where its middle is believed to be, and one at a face where it is proved and still not known to the millimetre.
 */
const sweep = (from: number, to: number): Strategy => ({ members }) => {
  const next = members.find(({ proved, sd, centre }) => (!proved || sd > 1) && centre >= from && centre <= to)
  return next && { x: next.centre - (next.proved ? next.width / 2 : 0), y: 1500 }
}

const STRATEGIES: Record<string, (wall: Wall, plan: WallPlan) => Strategy> = {
  'swept from the left': wall => sweep(0, wall.width),
  'swept behind the screens': (_, { arrays }) =>
    sweep(arrays[0]!.outline.x - 100, arrays[0]!.outline.x + arrays[0]!.outline.width + 100),
  'the next probe followed':
    () =>
      ({ nextProbe }) =>
        nextProbe,
}

/** Nails until every plate is held; undefined where it is not reached. */
function nailsNeeded(
  hidden: HiddenWall,
  read: Wall,
  job: Job,
  strategy: (wall: Wall, plan: WallPlan) => Strategy,
): number | undefined {
  const wall: Wall = { ...read, evidence: [...(read.evidence ?? [])], arrays: job.walls[0]!.arrays }
  let plan = planWall(wall, job)
  const choose = strategy(wall, plan)
  for (let nails = 0; nails < MOST; nails++) {
    if (isHeld(plan)) return nails
    const next = choose(plan, wall)
    if (!next) return undefined
    wall.evidence = [...wall.evidence!, { id: `n${nails}`, y: next.y, ...INSTRUMENTS.probe(hidden.members, next.x) }]
    plan = planWall(wall, job)
  }
  return undefined
}

/** Mean number of nails until every plate is held by each way of choosing, over walls on which every way gets there. */
export function probingStudy(walls: number, seed = 1): Record<string, Record<string, string | number>> {
  const job = gridJob(2, 3)
  const [array] = job.walls[0]!.arrays
  const counts: (number | undefined)[][] = []
  for (let n = 0; counts.length < walls; n++) {
    const hidden = hiddenWall(seed + n)
    Object.assign(array!, {
      at: { ...array!.at, x: { edge: 'centre', value: hidden.width / 2 } },
      shiftTolerance: { x: 150, y: 0 },
    })
    const { wall } = readWall(hidden, 'edges', seed + 7919 * (n + 1))
    // Where the framing as it stands holds no such grid with a little to spare, no nails will.
    const members = hidden.members.map(({ centre, width }) => ({ centre, width: width - SPARE }))
    if (!isHeld(planWall({ ...wall, structure: { ...wall.structure, members }, arrays: [array!] }, job))) continue
    counts.push(Object.values(STRATEGIES).map(strategy => nailsNeeded(hidden, wall, job, strategy)))
  }
  const mean = (n: number) => counts.reduce((sum, row) => sum + (row[n] ?? MOST), 0) / counts.length
  return Object.fromEntries(Object.keys(STRATEGIES).map((name, n) => [name, {
    'walls': counts.length,
    'all plates held': `${counts.filter(row => row[n] !== undefined).length} of ${counts.length}`,
    [`nails, mean, ${MOST} where given up`]: mean(n).toFixed(1),
    'against sweeping from the left': `${(100 * (mean(n) / mean(0) - 1)).toFixed(0)} %`,
  }]))
}
