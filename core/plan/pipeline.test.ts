import { produce } from 'immer'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoWall } from '../../tests/fixtures/demo'
import { exampleJob } from '../../tests/fixtures/job'
import type { Job, Wall } from '../job'
import { asBuilt, NOTHING_BUILT, type LogEntry } from '../log'
import { placedOf } from '../mount'
import { placeWall, planWall, pipeline } from './index'
import { cases } from '../../tests/fixtures/soak'

/** Edits of every part of a wall, each as a person makes it. */
const EDITS: Record<string, (wall: Wall) => void> = {
  nudge: (wall) => {
    wall.arrays[0]!.at.x.value += 7
  },
  lift: (wall) => {
    wall.arrays[0]!.at.y.value += 40
  },
  read: (wall) => {
    wall.evidence = [
      ...(wall.evidence ?? []),
      { id: `n${wall.evidence?.length ?? 0}`, method: 'probe', hit: false, x: 2300, y: 1700 },
    ]
  },
  frame: (wall) => {
    if (wall.structure.members) wall.structure.members[2]!.centre += 9
  },
  rename: (wall) => {
    wall.name += '!'
  },
  level: (wall) => {
    wall.levelLine = (wall.levelLine ?? 1000) + 10
  },
  grid: (wall) => {
    wall.arrays[0]!.columns = wall.arrays[0]!.columns === 3 ? 2 : 3
  },
  second: (wall) => {
    if (wall.arrays.length < 3)
      wall.arrays.push({ ...wall.arrays[0]!, id: `x${wall.arrays.length}`, rows: 1, columns: 1 })
  },
  feature: (wall) => {
    wall.features = [
      ...(wall.features ?? []),
      { id: `f${wall.features?.length ?? 0}`, kind: 'live-cable', x: 2280, y: 900, width: 20, height: 900 },
    ]
  },
  wet: (wall) => {
    wall.wet = !wall.wet
  },
}
const hole = (n: number, result: 'hit' | 'miss'): LogEntry => ({
  id: `l${n}`,
  at: '2026-11-20T09:00:00Z',
  by: 'Odd',
  wall: 'w1',
  kind: 'hole',
  hole: 'a1-r1c1-top-1',
  x: 1900 + 5 * n,
  y: 2090.4,
  result,
})

describe('the pipeline of stages', () => {
  it('give what a plan from the beginning gives, whatever is edited and drilled and in whatever order', () => {
    fc.assert(
      fc.property(
        fc.array(fc.oneof(fc.constantFrom(...Object.keys(EDITS)), fc.constantFrom('hit', 'miss')), { maxLength: 12 }),
        (steps) => {
          const job = exampleJob()
          let wall = job.walls[0]!
          let [built, log] = [NOTHING_BUILT, [] as LogEntry[]]
          const through = pipeline()
          for (const step of steps) {
            if (step === 'hit' || step === 'miss')
              built = asBuilt((log = [...log, hole(log.length, step)]), { id: 'w1' })
            else wall = produce(wall, EDITS[step]!)
            expect(planWall(wall, job, built, through)).toEqual(planWall(wall, job, built))
            expect(placeWall(wall, job, built, through)).toEqual(placedOf(planWall(wall, job, built).arrays))
          }
        },
      ),
      { numRuns: cases(12, 200) },
    )
  })

  it('survey a wall once, however its arrays are moved, named and marked', () => {
    const { job, wall } = demoWall('holm-point', 'ticket-hall')
    const through = pipeline()
    const plan = (wall: Wall, context: Job = job) => planWall(wall, context, NOTHING_BUILT, through)
    const first = plan(wall)
    for (const edit of ['nudge', 'lift', 'level', 'grid', 'second'])
      expect(plan(produce(wall, EDITS[edit]!)).members).toBe(first.members)
    expect(plan(produce(wall, EDITS.read!)).members).not.toBe(first.members)
    expect(plan(wall, { ...job, rules: { proofOfFraming: 'one-sign' } }).members).not.toBe(first.members)
    // An array that nobody touched is not mounted anew for one that was.
    const two = produce(wall, EDITS.second!)
    const moved = produce(two, (wall) => { wall.arrays[1]!.at.y.value += 3 })
    expect(plan(moved).arrays[0]!.strips).toBe(plan(two).arrays[0]!.strips)
  })
})
