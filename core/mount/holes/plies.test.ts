import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob, m1, studs } from '../../../tests/fixtures/job'
import type { Job } from '../../job'
import { planWall } from '../../plan'
import { piecesOf } from '../../survey'
import { holdingPlaces, smallestMargin } from '../slide/requirement'
import { reached } from './holes'
import { plySpacing, targetsOf, zonesOf } from './zones'
import { cases } from '../../../tests/fixtures/soak'

const EDGE = 1.5 * 9.525
function planned(members: { centre: number, width: number }[], change: (job: Job) => void = () => {}) {
  const job = exampleJob()
  job.walls[0]!.structure.members = members
  Object.assign(job.walls[0]!.arrays[0]!, { rows: 1, columns: 1 })
  change(job)
  return planWall(job.walls[0]!, job)
}

describe('a doubled member', () => {
  it('is two pieces: a hole goes into one of them and never into their seam', () => {
    const { arrays, members } = planned([...studs(2900), { centre: 3300, width: 76 }])
    const [{ plate, holes }] = arrays[0]!.positions as [typeof arrays[0]['positions'][0]]
    expect(members[1]).toMatchObject({ kind: 'double', plies: 2 })
    expect(plate!.held).toBe(true)
    const inDouble = holes!.filter(({ member }) => member === 1)
    // Plies stand from 3262 to 3300 and from 3300 to 3338.
    for (const { x, ply, margin } of inDouble) {
      expect(x).toBe([3281, 3319][ply!])
      expect(margin).toBeCloseTo(19 - EDGE, 9)
    }
    expect(holes!.find(({ member }) => member === 0)).not.toHaveProperty('ply')
  })

  it('never takes a hole within 1.5 diameters of a ply’s edge, on any wall', () => {
    const wall = fc.array(
      fc.record({ gap: fc.integer({ min: 120, max: 520 }), double: fc.boolean(), width: fc.constantFrom(38, 45) }),
      { minLength: 8, maxLength: 14 },
    )
    fc.assert(fc.property(wall, fc.integer({ min: 2000, max: 4200 }), (bays, at) => {
      let x = 100
      const members = bays.map(({ gap, double, width }) => ({ centre: x += gap, width: double ? 76 : width }))
      const { arrays, members: found } = planned(members, (job) => { job.walls[0]!.arrays[0]!.at.x.value = at })
      for (const { plate, holes } of arrays[0]!.positions) {
        if (!plate!.held) continue
        for (const hole of holes!) {
          const [piece] = found
            .flatMap(piecesOf)
            .sort((a, b) => Math.abs(a.centre - hole.x) - Math.abs(b.centre - hole.x))
          expect(Math.abs(hole.x - piece!.centre)).toBeLessThanOrEqual(piece!.width / 2 - EDGE + 1e-6)
        }
      }
    }), { numRuns: cases(150) })
  })

  it('counts as two pieces only where the maker says how near fasteners may be, and the spacing holds', () => {
    const lag = exampleJob().catalogue.fasteners[0]
    expect(plySpacing(m1, lag)).toBeUndefined()
    expect(plySpacing({ needs: { ...m1.needs, minSpacing: 30 } }, lag)).toBeCloseTo(38.1, 9)
    const zones = zonesOf([{ centre: 1000, width: 90, sd: 0, plies: 2 }], EDGE)
    const spans = [{ from: -100, to: 100 }]
    const places = (spacing: number | undefined) =>
      holdingPlaces([{ spans, targets: targetsOf(zones, spacing), wanted: 2 }], { from: 800, to: 1200 })
    expect(places(undefined)).toEqual([])
    // Plies of 45: their middles stand 45 apart.
    expect(places(46)).toEqual([])
    const [{ from, to }] = places(38.1) as [{ from: number, to: number }]
    // Both plies are reached with 3.45 to either side of their middles: from 1025.95 − 100 to 974.05 + 100.
    expect([from, to]).toEqual([expect.closeTo(1022.5 - 3.45 - 100, 6), expect.closeTo(977.5 + 3.45 + 100, 6)])
    const slots = [{ row: 'top', y: 0, x1: -100, x2: 100, diameter: 10 }]
    for (const x of [from, 1000, to]) {
      const holes = reached({ slots, row: 'top', plateX: x }, zones, 2, 38.1)
      expect(holes).toHaveLength(2)
      expect(Math.abs(holes[0]!.x - holes[1]!.x)).toBeGreaterThanOrEqual(38.1 - 1e-6)
      expect(Math.min(...holes.map(({ margin }) => margin))).toBeGreaterThanOrEqual(
        smallestMargin([{ spans, targets: targetsOf(zones, 38.1), wanted: 2 }], x) - 1e-6,
      )
    }
    expect(reached({ slots, row: 'top', plateX: 1000 }, zones, 2)).toHaveLength(1)
  })

  it('is not two for holes put by hand either', () => {
    const held = (minSpacing: number | undefined, x: number) =>
      planned([{ centre: 3100, width: 90 }, ...studs(2500)], (job) => {
        const [mount] = job.catalogue.mounts
        Object.assign(mount!, {
          needs: { ...mount!.needs, minSpacing },
          plate: {
            ...mount!.plate,
            slots: [210, -150].map(y => ({ row: y > 0 ? 'top' : 'bottom', y, x1: -240, x2: 240, diameter: 10 })),
          },
        })
        job.walls[0]!.arrays[0]!.holes = ['top', 'bottom'].flatMap(of => [
          { row: 1, column: 1, of, rank: 1, x: 3077.5 },
          { row: 1, column: 1, of, rank: 2, x },
        ])
      }).arrays[0]!.positions[0]!.plate!.held
    expect(held(undefined, 3122.5)).toBe(false)
    expect(held(40, 3122.5)).toBe(true)
    // In the same ply, or nearer than the maker lets them be.
    expect(held(40, 3079)).toBe(false)
    expect(held(47, 3122.5)).toBe(false)
  })
})

describe('a plate where nothing is known of the wall', () => {
  const readings = (job: Job, upTo: number) => {
    const [wall] = job.walls
    delete wall!.structure.members
    wall!.evidence = Array.from({ length: 20 }, (_, n) => 200 + 400 * n)
      .filter(x => x < upTo)
      .flatMap(x =>
        [-20, -18, 18, 20].map((off, n) => ({
          id: `e${x}-${n}`,
          method: 'probe' as const,
          hit: Math.abs(off) < 19,
          x: x + off,
          y: 1500,
        })),
      )
  }
  it('asks for readings there, and not for a slide', () => {
    const job = exampleJob()
    readings(job, 1500)
    Object.assign(job.walls[0]!.arrays[0]!, {
      rows: 1,
      columns: 1,
      at: { x: { edge: 'centre', value: 4600 }, y: { edge: 'centre', value: 1650 } },
    })
    const { findings, nextProbe } = planWall(job.walls[0]!, job)
    const stops = findings.filter(({ severity }) => severity === 'stop').map(({ code }) => code)
    expect(stops).toEqual(['wall-not-surveyed'])
    expect(nextProbe!.x).toBeGreaterThan(4360)
    expect(nextProbe!.x).toBeLessThan(4840)
    expect(nextProbe!.gain).toBe(4)
  })
})
