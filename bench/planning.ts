import { Bench } from 'tinybench'
import { arrange } from '../core/arrange'
import { place } from '../core/mount'
import type { Job } from '../core/job'
import { contextOf, plan, planWall } from '../core/plan'
import { survey } from '../core/survey'
import { wire } from '../core/wire'
import { gridJob, readWallOf60, unevenJob, wiredJob } from './jobs'
import { atMost, measured, type Row } from './row'

/** Median time of a plan of each size of grid, ms. */
async function medians(sizes: [number, number][]): Promise<Map<string, number>> {
  const bench = new Bench({ time: 1_000, warmupTime: 300 })
  for (const [rows, columns] of sizes) {
    const [wired, bare] = [gridJob(rows, columns), withoutWiring(gridJob(rows, columns))]
    bench.add(`${rows} × ${columns}`, () => void plan(bare))
    bench.add(`${rows} × ${columns} wired`, () => void plan(wired))
  }
  await bench.run()
  return new Map(bench.tasks.map(({ name, result }) => {
    if (!('latency' in result)) throw new Error(`${name} was not measured: ${result.state}`)
    return [name, result.latency.p50]
  }))
}

/** From framing to marks alone: nothing is wired. */
function withoutWiring(job: Job): Job {
  for (const wall of job.walls) {
    delete wall.boxes
    delete wall.sources
  }
  return job
}

function msOf(work: () => void): number {
  const from = performance.now()
  work()
  return performance.now() - from
}

/**
 * How many times as long a screen takes in a grid of 20 × 20 as in sixteen of 5 × 5: the median of pairs taken in
 * turn, so that whatever else the machine does slows both.
 */
function growth(): number {
  const [small, large] = [gridJob(5, 5), gridJob(20, 20)]
  const sixteen = () => { for (let n = 0; n < 16; n++) plan(small) }
  const pair = () => msOf(() => plan(large)) / msOf(sixteen)
  for (let warming = 0; warming < 5; warming++) pair()
  return Array.from({ length: 21 }, pair).sort((a, b) => a - b)[10]!
}

/** How long a plan takes, and how that grows with the screens. */
export async function planning(): Promise<Row[]> {
  const times = await medians([[3, 3], [10, 10]])
  const ms = (name: string) => times.get(name)!
  return [
    atMost('Plan of 3 × 3, framing to marks', ms('3 × 3'), 6, 'ms'),
    atMost('Plan of 10 × 10, framing to marks', ms('10 × 10'), 27, 'ms'),
    measured('Plan of 3 × 3, wired', ms('3 × 3 wired'), 'ms'),
    measured('Plan of 10 × 10, wired', ms('10 × 10 wired'), 'ms'),
    atMost('Growth from 5 × 5 to 20 × 20, times as long a screen', growth(), 1.1, 'times'),
  ]
}

/** How long a wall of six rows of twelve on 40 uneven members takes: its plates alone, and the whole plan. */
export async function placing(): Promise<Row[]> {
  const job = unevenJob()
  const [wall] = job.walls
  const [array] = wall!.arrays
  const surveyed = survey(wall!)
  const { cells } = arrange(array!, job.catalogue.displays, wall!)!
  const bench = new Bench({ time: 2_000, warmupTime: 500 })
  bench.add('place', () => void place({ array: array!, cells }, wall!, surveyed, job))
  bench.add('plan', () => void plan(job))
  await bench.run()
  const [placed, planned] = bench.tasks.map(({ result }) => 'latency' in result ? result.latency.p50 : Number.NaN)
  return [
    atMost('Plates of 12 × 6 placed on 40 uneven members', placed!, 100, 'ms'),
    measured('The whole plan of that wall', planned!, 'ms'),
  ]
}

/** How long a large wall's readings take to be fused. */
export async function fusing(): Promise<Row[]> {
  const wall = readWallOf60()
  const bench = new Bench({ time: 2_000, warmupTime: 1_000 })
  bench.add('fuse', () => void survey(wall))
  await bench.run()
  const { result } = bench.tasks[0]!
  if (!('latency' in result)) throw new Error('Fusing was not measured.')
  return [atMost('Framing map of 60 members from 400 readings', result.latency.p50, 50, 'ms')]
}

/** How long it takes to wire 10 × 10 on 40 members with a box behind each screen, the rest of the plan known. */
export async function wiring(): Promise<Row[]> {
  const job = wiredJob(10, 10)
  const [wall] = job.walls
  const { members, arrays } = planWall(wall!, contextOf(job))
  const bench = new Bench({ time: 2_000, warmupTime: 500 })
  bench.add('wire', () => void wire(wall!, members, arrays, { catalogue: job.catalogue, rules: {} }))
  await bench.run()
  const [{ result }] = bench.tasks as [typeof bench.tasks[number]]
  if (!('latency' in result)) throw new Error(`wiring was not measured: ${result.state}`)
  return [atMost('Wiring 10 × 10 on 40 members', result.latency.p50, 100, 'ms')]
}
