import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { demoWall } from '../../tests/fixtures/demo'
import { fillFor, keepOffOf } from '../fastening'
import { asBuilt, HOLE_RESULTS, type LogEntry } from '../log'
import { contextOf, planWall } from '../plan'
import { withFrozen } from '../revision'
import { changeBetween, deadHoles } from './index'
import { cases } from '../../tests/fixtures/soak'

const entry = (
  n: number,
  wall: string,
  hole: string,
  at: { x: number, y: number },
  result: (typeof HOLE_RESULTS)[number],
): LogEntry => ({
  id: `l${n}`,
  at: '2026-11-12T09:00:00Z',
  by: 'Isla Brand',
  wall,
  kind: 'hole',
  hole,
  x: at.x,
  y: at.y,
  result,
})

describe('a dead hole', () => {
  it('is kept off by three diameters in timber and steel, and by its depth in masonry', () => {
    const { fasteners: [lag] } = exampleJob().catalogue
    expect([
      keepOffOf(lag, 'wood-stud'),
      keepOffOf(undefined, 'steel-stud'),
      keepOffOf({ ...lag!, embedment: 60 }, 'concrete'),
      keepOffOf({ ...lag!, embedment: 60, minSpacing: 90 }, 'block'),
    ]).toEqual([3 * 9.525, 30, 60, 90])
    expect(fillFor('wood-stud', true)).toBe('leave the steel as it is and fill the board with jointing compound')
    expect([fillFor('wood-stud'), fillFor('concrete')]).toEqual([
      expect.stringContaining('dowel'),
      expect.stringContaining('repair mortar'),
    ])
  })

  it('is told with what it was of, how far a new one stays from it, and what fills it; one that hit is none', () => {
    const job = exampleJob()
    const built = asBuilt(
      [
        entry(1, 'w1', 'a1-r1c1-top-1', { x: 1900, y: 2090.4 }, 'stripped'),
        entry(2, 'w1', 'a1-r1c1-top-2', { x: 2300, y: 2090.4 }, 'hit'),
      ],
      job.walls[0]!,
    )
    expect(deadHoles(job.walls[0]!, built, job.catalogue)).toEqual([{
      hole: 'a1-r1c1-top-1',
      x: 1900,
      y: 2090.4,
      result: 'stripped',
      entry: 'l1',
      keepOff: 28.575000000000003,
      fill: fillFor('wood-stud'),
    }])
  })

  it('in a stud that is as narrow takes the stud away at its height, and elsewhere it serves', () => {
    const job = exampleJob()
    // A backing of 150 mm is wide enough for another screw beside it.
    job.walls[0]!.structure.members!.splice(0, 1, { centre: 1900, width: 150 })
    const [wall] = job.walls
    const before = planWall(wall!, job)
    const hole = before.arrays[0]!.positions[0]!.holes!.find(({ id }) => id === 'a1-r1c1-top-1')!
    const after = planWall(wall!, job, asBuilt([entry(1, 'w1', hole.id, hole, 'stripped')], wall!))
    const moved = after.arrays[0]!.positions[0]!.holes!.find(({ id }) => id === hole.id)!
    expect(Math.hypot(moved.x - hole.x, moved.y - hole.y)).toBeGreaterThanOrEqual(28.575 - 1e-6)
    expect([moved.member, after.arrays[0]!.positions[0]!.plate!.held]).toEqual([0, true])
    const narrow = exampleJob()
    const plan = planWall(
      narrow.walls[0]!,
      narrow,
      asBuilt([entry(1, 'w1', 'a1-r1c1-top-1', { x: 1900, y: 2090.4 }, 'stripped')], narrow.walls[0]!),
    )
    expect([
      plan.arrays[0]!.positions[0]!.plate!.held,
      plan.findings.some(({ severity, stage }) => severity === 'stop' && stage === 'mount'),
    ]).toEqual([false, true])
  })
})

describe('what a result changes', () => {
  it('is told by plate and by mark, from where to where, and is nothing between a plan and itself', () => {
    const { job, wall } = demoWall('ravel-sands', 'arrivals')
    const before = planWall(wall, contextOf(job), asBuilt(job.log, wall))
    const hole = before.arrays[0]!.positions[0]!.holes![0]!
    const after = planWall(
      wall,
      contextOf(job),
      asBuilt([...job.log, entry(900, wall.id, hole.id, hole, 'blown')], wall),
    )
    expect(changeBetween(before.arrays, before.arrays)).toEqual({
      plates: [],
      marks: [],
      added: [],
      dropped: [],
      sum: 0,
    })
    const change = changeBetween(before.arrays, after.arrays)
    // In concrete the hole goes aside in its slot by the depth of the dead one, and nothing else moves.
    expect([change.plates, change.marks.map(({ hole: id }) => id), change.sum]).toEqual([
      [],
      [hole.id],
      expect.closeTo(50, 6),
    ])
  })

  /** A wall of the demo as it was issued, once some of its open holes met what they met. */
  function drilledBy(
    site: Parameters<typeof demoWall>[0],
    id: string,
    results: { pick: number, result: (typeof HOLE_RESULTS)[number] }[],
  ) {
    // As they were issued: each then moves as little as it can.
    const job = withFrozen(demoWall(site, id).job)
    const wall = job.walls.find(each => each.id === id)!
    let log = job.log
    let plan = planWall(wall, contextOf(job), asBuilt(log, wall))
    expect(plan.change).toBeDefined()
    let missed = 0
    for (const [n, { pick, result }] of results.entries()) {
      const open = plan.arrays
        .flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes))
        .filter(({ made }) => !made)
      const hole = open[pick % Math.max(open.length, 1)]
      if (!hole) break
      log = [...log, entry(1000 + n, id, hole.id, hole, result)]
      plan = planWall(wall, contextOf(job), asBuilt(log, wall))
      if (result !== 'hit') missed++
    }
    return { plan, built: asBuilt(log, wall), missed }
  }

  it('leaves every made hole where it was made, plans nothing too near to a dead one, and holds every plate or says so', () => {
    const WALLS = [
      ['ravel-sands', 'arrivals'],
      ['stennick', 'departures-row'],
      ['holm-point', 'ticket-hall'],
    ] as const
    let differed = 0
    fc.assert(
      fc.property(
        fc.constantFrom(...WALLS),
        fc.array(fc.record({ pick: fc.nat(40), result: fc.constantFrom(...HOLE_RESULTS) }), {
          minLength: 1,
          maxLength: 5,
        }),
        ([site, id], results) => {
          const { plan, built, missed } = drilledBy(site, id, results)
          differed += missed
          const issued = new Map(
            built.issued!.arrays.flatMap(({ plates }) =>
              plates.flatMap(({ holes }) => holes.map(hole => [hole.id, hole] as const)),
            ),
          )
          for (const { hole, from, to } of plan.change!.marks) {
            // What moved is not made, and where it was it could not stay: it is dead, too near to one, or its plate had
            // to move.
            expect(
              built.holes.some(
                made => made.hole === hole && made.result === 'hit' && Math.hypot(made.x - to.x, made.y - to.y) > 1.01,
              ),
            ).toBe(false)
            expect([from.x, from.y]).toEqual([issued.get(hole)!.x, issued.get(hole)!.y])
          }
          const positions = plan.arrays.flatMap(array => array.positions)
          const holes = positions.flatMap(position =>
            (position.holes ?? []).map(hole => ({ ...hole, held: position.plate!.held })),
          )
          for (const { hole, x, y } of built.holes.filter(({ result }) => result === 'hit')) {
            const kept = holes.find(each => each.made === 'hit' && Math.hypot(each.x - x, each.y - y) < 1.01)
            if (!kept)
              expect(
                plan.findings.some(
                  ({ code, subject }) => (code === 'hole-unused' && subject.id === hole) || code === 'hole-left-behind',
                ),
              ).toBe(true)
          }
          for (const { x, y, keepOff } of plan.dead) {
            for (const hole of holes) {
              // One in a slot that is all too near stays in it, and its plate is not held.
              if (!hole.made && Math.hypot(hole.x - x, hole.y - y) < keepOff - 1e-6) expect(hole.held).toBe(false)
            }
          }
          const loose = positions.filter(({ plate }) => !plate!.held)
          if (loose.length > 0) expect(plan.findings.some(({ severity }) => severity === 'stop')).toBe(true)
        },
      ),
      { numRuns: cases(12) },
    )
    expect(differed).toBeGreaterThan(20)
  })
})
