import { Bench } from 'tinybench'
import { plan } from '../core/plan'
import { gridJob } from './jobs'
import { atMost, type Row } from './row'

/** Median time of a plan of each size of grid, ms. */
async function medians(sizes: [number, number][]): Promise<Map<string, number>> {
  const bench = new Bench({ time: 1_000, warmupTime: 300 })
  for (const [rows, columns] of sizes) {
    const job = gridJob(rows, columns)
    bench.add(`${rows} × ${columns}`, () => void plan(job))
  }
  await bench.run()
  return new Map(bench.tasks.map(({ name, result }) => {
    if (!('latency' in result)) throw new Error(`${name} was not measured: ${result.state}`)
    return [name, result.latency.p50]
  }))
}

/** How long a plan takes, and how that grows with the screens. */
export async function planning(): Promise<Row[]> {
  const times = await medians([[3, 3], [5, 5], [10, 10], [20, 20]])
  const ms = (name: string) => times.get(name)!
  return [
    atMost('Plan of 3 × 3', ms('3 × 3'), 5, 'ms'),
    atMost('Plan of 10 × 10', ms('10 × 10'), 50, 'ms'),
    atMost('Growth from 5 × 5 to 20 × 20, times as long a screen', ms('20 × 20') / ms('5 × 5') / 16, 1, 'times'),
  ]
}
