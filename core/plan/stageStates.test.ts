import { describe, expect, it } from 'vitest'
import { demoJob } from '../../tests/fixtures/demo'
import { exampleJob } from '../../tests/fixtures/job'
import type { Finding } from '../finding'
import { runOf } from '../hang'
import type { Job, LogEntry } from '../job'
import { asBuilt } from '../log'
import { rulesFor } from '../rules'
import { contextOf, planWall } from './index'
import { stageStates, standingOf } from './stageStates'

function statesOf(job: Job, id: string, change: (findings: Finding[]) => Finding[] = all => all) {
  const wall = job.walls.find(wall => wall.id === id)!
  const log = job.log.filter(entry => entry.wall === id)
  const plan = planWall(wall, contextOf(job), asBuilt(log, wall))
  return stageStates(
    standingOf({
      wall,
      plan,
      findings: change(plan.findings),
      log,
      catalogue: job.catalogue,
      rules: rulesFor(job, wall),
      units: 'metric',
    }),
  )
}
const without = (findings: Finding[]) => findings.filter(({ severity }) => severity === 'note')
const entry = (kind: LogEntry['kind'], more: object): LogEntry =>
  ({
    id: `${kind} ${JSON.stringify(more)}`.slice(0, 80),
    at: '2026-11-20T09:00:00Z',
    by: 'Isla',
    wall: 'w1',
    kind,
    ...more,
  }) as LogEntry

describe('how far a stage has come', () => {
  it('is a stop before all else, and what rests on it waits', () => {
    const cafe = statesOf(demoJob('holm-point'), 'cafe')
    expect(cafe).toMatchObject({
      mount: 'stop',
      fix: 'waits',
      wire: 'waits',
      mark: 'waits',
      hang: 'waits',
      close: 'not started',
    })
  })
  it('goes from not started to settled as the log grows', () => {
    const job = exampleJob()
    const states = () => statesOf(job, 'w1', without)
    expect(states()).toMatchObject({
      survey: 'settled',
      arrange: 'settled',
      mount: 'settled',
      mark: 'in hand',
      hang: 'not started',
      true: 'not started',
      close: 'not started',
    })
    job.log.push(entry('issued', { revision: 'A' }))
    expect(states().mark).toBe('settled')
    const plan = planWall(job.walls[0]!, contextOf(job))
    const holes = plan.arrays.flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes))
    job.log.push(entry('hole', { hole: holes[0]!.id, x: holes[0]!.x, y: holes[0]!.y, result: 'hit' }))
    expect(states().hang).toBe('in hand')
    for (const { id, x, y } of holes.slice(1)) job.log.push(entry('hole', { hole: id, x, y, result: 'hit' }))
    expect(states().hang).toBe('in hand')
    // Holes alone are no hung wall: each step is to be done, and each screen to hang; holes that are made need no word.
    const run = runOf({ wall: job.walls[0]!, ...plan, catalogue: job.catalogue, rules: rulesFor(job) })
    const [hang, others] = [
      run.filter(({ kind }) => kind === 'hang'),
      run.filter(({ kind }) => kind !== 'hang' && kind !== 'drill'),
    ]
    for (const { id } of others) job.log.push(entry('step', { step: id, done: true }))
    expect(states().hang).toBe('in hand')
    for (const { hangs } of hang.slice(1)) job.log.push(entry('hung', { screen: hangs }))
    expect(states().hang).toBe('in hand')
    job.log.push(entry('step', { step: hang[0]!.id, done: true }))
    expect(states().hang).toBe('settled')
    for (const { hangs } of hang) job.log.push(entry('locked', { screen: hangs }))
    job.log.push(entry('seams', { array: 'a1', round: 1, gaps: [{ between: ['r1c1', 'r1c2'], end: 'top', mm: 3 }] }))
    expect(states().true).toBe('in hand')
    job.log.push(entry('seams', { array: 'a1', round: 2, gaps: [{ between: ['r1c1', 'r1c2'], end: 'top', mm: 0.6 }] }))
    expect(states().true).toBe('settled')
    job.log.push(entry('serial', { screen: plan.arrays[0]!.positions[0]!.id, serial: 'S1' }))
    expect(states().close).toBe('in hand')
    job.log.push(entry('signed', { name: 'Client' }))
    expect(states().close).toBe('settled')
    // A screen that hangs and is not locked: what was signed does not settle it.
    job.log.push(entry('locked', { screen: plan.arrays[0]!.positions[0]!.id, unlocked: true }))
    expect(states().close).toBe('in hand')
    job.log.push({ ...entry('locked', { screen: plan.arrays[0]!.positions[0]!.id }), id: 'again' })
    expect(states().close).toBe('settled')
  })
  it('is a caution where there is one and nothing worse, but not before it is begun', () => {
    const caution = (stage: Finding['stage']): Finding => ({
      severity: 'caution',
      code: 'array-behind-furniture',
      stage,
      subject: { kind: 'wall', id: 'w1' },
      message: [],
    })
    expect(statesOf(exampleJob(), 'w1', () => [caution('arrange'), caution('close')])).toMatchObject({
      arrange: 'caution',
      close: 'not started',
    })
  })
  it('of a wall with nothing on it is surveyed at the most', () => {
    const job = exampleJob()
    job.walls[0]!.arrays = []
    expect(statesOf(job, 'w1', without)).toMatchObject({
      survey: 'settled',
      arrange: 'not started',
      mount: 'not started',
      mark: 'not started',
      hang: 'not started',
    })
  })
})
