import { readFileSync, readdirSync } from 'node:fs'
import { InvalidJob, validateJob, type Job } from '../core/job'
import { planFile } from '../core/plan/planFile'
import { contextOf, planWall } from '../core/plan'
import { asBuilt } from '../core/log'
import { drawSheet, svgText } from '../core/mark/sheet'
import { mutated } from '../tests/fixtures/mutate'
import { exampleJob } from '../tests/fixtures/job'

const jobs = [...readdirSync('demo').filter(n => n !== 'catalogue.json').map(n => JSON.parse(readFileSync('demo/' + n, 'utf8'))), exampleJob(), exampleJob()]
const [from, to] = process.argv.slice(2).map(Number)
let valid = 0
for (let seed = from!; seed < to!; seed++) {
  const value = mutated(jobs[seed % jobs.length]!, seed)
  const t = performance.now()
  let job: Job
  try { job = validateJob(value) }
  catch (e) { if (!(e instanceof InvalidJob)) console.log(seed, 'VALIDATE', (e as Error).stack!.split('\n').slice(0, 4).join('|')); const d = performance.now() - t; if (d > 300) console.log(seed, 'slow refuse', d); continue }
  valid++
  try {
    const text = JSON.stringify(planFile(job), (k, v) => { if (typeof v === 'number' && !Number.isFinite(v)) throw new Error(`not finite at ${k}: ${v}`); return v })
    if (/NaN|Infinity|undefined/.test(text)) console.log(seed, 'PLAN TEXT', /.{60}(NaN|Infinity|undefined).{30}/.exec(text)?.[0])
    for (const wall of job.walls) {
      const s = drawSheet(job, wall, planWall(wall, contextOf(job), asBuilt(job.log, wall.id)), { paper: 'a3', units: job.site.units, precision: {} }).pages.map(svgText).join('')
      if (/NaN|Infinity|undefined/.test(s)) console.log(seed, 'SHEET', /.{60}(NaN|Infinity|undefined).{30}/.exec(s)?.[0])
    }
  }
  catch (e) { console.log(seed, 'THROWS', (e as Error).message, (e as Error).stack!.split('\n').slice(1, 5).map(l => l.trim().replace(/.*main\//, '')).join(' < ')) }
  const d = performance.now() - t
  if (d > 2000) console.log(seed, 'SLOW', Math.round(d))
}
console.log('valid', valid, 'of', to! - from!)
