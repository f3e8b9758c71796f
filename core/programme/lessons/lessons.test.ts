import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../../tests/fixtures/job'
import type { Evidence, Job, LogEntry } from '../../job'
import { asBuilt } from '../../log'
import { contextOf, planWall } from '../../plan'
import { freeze, storedOf } from '../../revision'
import { wallState } from '../wallState'

/**
 * Studs that are known by unlike signs: a probe, two kinds of sign, one sign; and one that nothing tells of but its
 * neighbours.
 */
const SIGNS: Omit<Evidence, 'id' | 'y'>[] = [
  ...[1_500, 1_900, 2_300, 2_700, 4_300, 4_700].map(x => ({ method: 'probe' as const, hit: true, x })),
  { method: 'magnet', x: 3_500 }, { method: 'detector-centre', x: 3_500 },
  { method: 'detector-centre', x: 3_900 },
]
function issuedJob(): Job {
  const job = exampleJob()
  const wall = job.walls[0]!
  delete (wall.structure as { members?: unknown }).members
  wall.evidence = SIGNS.map((sign, n) => ({ id: `e${n}`, y: 1_500, ...sign })) as Evidence[]
  const frozen = freeze(
    wall,
    { ...job, rules: contextOf(job).rules },
    asBuilt(job.log, wall),
    planWall(wall, contextOf(job)),
  )
  job.walls[0] = { ...wall, revisions: [storedOf(frozen)] }
  job.log.push({
    id: 'issued',
    at: '2026-11-20T09:00:00Z',
    by: 'Isla',
    wall: 'w1',
    kind: 'issued',
    revision: 'A',
    frozen: frozen.id,
  })
  return job
}
const at = (minutes: number) => new Date(Date.parse('2026-11-21T08:00:00Z') + minutes * 60_000).toISOString()
const entry = (kind: LogEntry['kind'], minutes: number, more: object): LogEntry =>
  ({ id: `${kind} ${minutes}`, at: at(minutes), by: 'Odd', wall: 'w1', kind, ...more }) as LogEntry

describe('what a log teaches', () => {
  it('tells of each hole what its stud was known by when the mark-out was issued, and whether the first drilling met it', () => {
    const job = issuedJob()
    const plan = planWall(job.walls[0]!, contextOf(job))
    const holes = plan.arrays.flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes))
    const into = (centre: number) =>
      holes.find(({ member }) => member !== undefined && Math.abs(plan.members[member]!.centre - centre) < 30)!
    const [probed, twoKinds, oneSign] = [into(2_300), into(3_500), into(3_900)]
    expect([probed, twoKinds, oneSign].every(Boolean)).toBe(true)
    const drilled = (hole: typeof probed, minutes: number, result: string) =>
      entry('hole', minutes, { hole: hole.id, x: hole.x, y: hole.y, result })
    job.log.push(
      drilled(probed, 0, 'hit'),
      drilled(oneSign, 5, 'miss'),
      drilled(twoKinds, 20, 'hit'),
      drilled(oneSign, 30, 'hit'),
    )
    const { lessons } = wallState(job)
    // The second drilling of a hole is no first one: by then the miss has told of the stud.
    expect(lessons.holes).toEqual([
      { proof: 'probe', hit: true },
      { proof: 'one-sign', hit: false },
      { proof: 'two-kinds', hit: true },
    ])
    expect(lessons.stops).toEqual([{ by: 'hole', minutes: 15 }])
    // Before anything was issued nothing can be said of it.
    expect(wallState({ ...job, log: job.log.filter(({ kind }) => kind !== 'issued') }).lessons.holes).toEqual([])
  })

  it('counts a stop until the next thing on that day, of whatever stopped the work', () => {
    const job = issuedJob()
    const step = (minutes: number, id: string, done: boolean) => entry('step', minutes, { step: id, done })
    job.log.push(
      entry('fished', 0, { route: 'r', result: 'stopped', y: 1_200 }),
      entry('fished', 25, { route: 'r', result: 'through' }),
      step(60, 'ask:1', false),
      step(100, 'ask:1', true),
      // The work stood until the next morning: what that took is not the question's.
      step(400, 'ask:2', false),
      step(1_440, 'ask:2', true),
    )
    expect(wallState(job).lessons.stops).toEqual([{ by: 'line', minutes: 25 }, { by: 'question', minutes: 40 }])
  })

  it('takes minutes from steps that are ticked: plates with all that is done to them, a whole kind of work by itself', () => {
    const job = issuedJob()
    const step = (id: string, minutes: number, more = {}) =>
      entry('step', minutes, { step: id, done: true, minutes: 30, ...more })
    const samples = () => wallState(job).samples.map(({ sort, pieces, minutes }) => [sort, pieces, minutes])
    job.log.push(step('plates:a1', 1))
    // Plates are not done before they were checked.
    expect(samples()).toEqual([])
    job.log.push(
      step('level:a1', 2, { minutes: 12 }),
      step('hang:a1-r1c1', 3),
      step('task:true', 4, { minutes: 90 }),
      step('hang:a1-r1c2', 5, { minutes: undefined }),
      step('nowhere', 6),
    )
    expect(samples()).toEqual([
      ['hang', 1, 30],
      ['true', 6, 90],
      ['plates', 6, 42],
    ])
  })

  it('tells how far work is by what comes after it', () => {
    const job = issuedJob()
    const done = (kind: string) => wallState(job).work.find(work => work.kind === kind)!.done
    const plan = planWall(job.walls[0]!, contextOf(job))
    expect(done('mark')).toBe(0)
    const hole = plan.arrays[0]!.positions[0]!.holes![0]!
    job.log.push(entry('hole', 0, { hole: hole.id, x: hole.x, y: hole.y, result: 'hit' }))
    expect(done('mark')).toBe(plan.marking.marks.length)
    expect(done('drill')).toBe(1)
    expect(done('hang')).toBe(0)
    for (const { id } of plan.arrays[0]!.positions) job.log.push(entry('hung', 10, { screen: id, id }))
    expect(done('hang')).toBe(6)
    expect(done('plates')).toBe(6)
  })
})
