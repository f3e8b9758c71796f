import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob, m1, studs } from '../../tests/fixtures/job'
import type { Job, ScreenArray, Wall } from '../job'
import { infeasibleInputs, planWall } from '../plan'
import { textToString } from '../units'
import { pilotOf } from '../fastening'
import { holeHeightFromBottomEdge, marginFigure, plateAcross } from './index'
import { cases } from '../../tests/fixtures/soak'

function planned(change: (job: Job) => void = () => {}) {
  const job = exampleJob()
  change(job)
  return planWall(job.walls[0]!, job)
}
const array = (job: Job): ScreenArray => job.walls[0]!.arrays[0]!
const framing = (job: Job, members: { centre: number, width: number }[]) => {
  job.walls[0]!.structure.members = members
}
const one = (members: { centre: number, width: number }[], plates?: ScreenArray['plates']) => planned((job) => {
  framing(job, members)
  Object.assign(array(job), { rows: 1, columns: 1, plates })
})

describe('the bracket sum', () => {
  it('puts the plate below the pattern by the interface and each hole at its slot', () => {
    const { arrays } = planned()
    const [first] = arrays[0]!.positions
    expect(first!.plate!.centre.x).toBeCloseTo(2078, 9)
    expect(first!.plate!.centre.y).toBeCloseTo(1880.4, 9)
    expect([...new Set(first!.holes!.map(({ row, y }) => `${row} ${y.toFixed(3)}`))]).toEqual([
      'top 2090.400',
      'bottom 1730.400',
    ])
  })

  it('agrees with the sum from the bottom edge, in any orientation', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('landscape', 'portrait-cw', 'portrait-ccw', 'inverted'),
        fc.integer({ min: -60, max: 60 }),
        fc.integer({ min: -60, max: 60 }),
        (orientation, x, y) => {
          const { arrays } = planned((job) => {
            array(job).orientation = orientation as ScreenArray['orientation']
            job.catalogue.displays[0]!.vesa.offset = { x, y }
          })
          for (const cell of arrays[0]!.positions) {
            for (const hole of cell.holes!)
              expect(holeHeightFromBottomEdge(cell, m1, m1.plate.slots[hole.slot!]!).value).toBeCloseTo(hole.y, 9)
            expect(plateAcross(cell, m1, cell.plate!.lateralShift).value).toBeCloseTo(cell.plate!.centre.x, 9)
          }
        },
      ),
    )
  })
})

describe('holes on studs', () => {
  it('go to the member’s centre where the slot reaches it, with the wood to spare', () => {
    const { arrays, findings } = one(studs(2900, 3300))
    const { holes, plate } = arrays[0]!.positions[0]!
    expect(holes!.map(({ id, x, member }) => [id, x, member])).toEqual([
      ['a1-r1c1-top-1', 2900, 0],
      ['a1-r1c1-top-2', 3300, 1],
      ['a1-r1c1-bottom-1', 2900, 0],
      ['a1-r1c1-bottom-2', 3300, 1],
    ])
    // 38 / 2 − 1.5 × 9.525
    for (const { margin } of holes!) expect(margin).toBeCloseTo(4.7125, 9)
    expect(plate!.held).toBe(true)
    expect(findings.filter(({ stage }) => stage === 'mount')).toEqual([])
  })

  it('that miss are stops: by how much, and the shift that cures it', () => {
    const { findings, arrays } = one(studs(2850, 3250), [{ row: 1, column: 1, lateralShift: 0 }])
    expect(arrays[0]!.positions[0]!.plate!.held).toBe(false)
    expect(findings.map(({ code, subject }) => [code, subject.id])).toEqual([
      ['hole-misses-member', 'a1-r1c1-top-1'], ['hole-misses-member', 'a1-r1c1-bottom-1'], ['plate-by-hand', 'a1-r1c1'],
    ])
    // The slot ends at 2860; the stud takes a screw up to 2854.7.
    expect(textToString(findings[0]!.message, 'metric')).toBe('Top hole of R1 C1 at 2860 mm misses stud 1 by 5.3 mm.')
    expect(textToString(findings[0]!.remedy!, 'metric')).toContain(
      'Shift the plate 10 mm to the left of its nominal position (at least 5.3 mm to the left)',
    )
    const { lateralShift } = findings[0]!.cure!
    expect(
      one(studs(2850, 3250), [{ row: 1, column: 1, lateralShift }])
        .findings.filter(({ stage }) => stage === 'mount')
        .map(({ code }) => code),
    ).toEqual(['plate-by-hand'])
    // Left to itself the plate goes there.
    expect(one(studs(2850, 3250)).arrays[0]!.positions[0]!.plate!.lateralShift).toBeCloseTo(lateralShift, 6)
  })

  it('says how much travel is lacking when no shift is enough', () => {
    const { findings } = one(studs(2800, 3200))
    expect(findings[0]!.cure).toBeUndefined()
    expect(textToString(findings[0]!.remedy!, 'metric')).toContain(
      '55.3 mm to the left, 10.3 mm more than its lateral adjustment of 45 mm',
    )
  })

  it('need two different members: one wide enough for two slots is not two', () => {
    const { findings } = one([{ centre: 3100, width: 200 }])
    const codes = findings.map(({ code }) => code).filter(code => code !== 'hole-where-cables-run')
    expect(codes).toEqual(['hole-misses-member', 'hole-misses-member'])
    expect(textToString(findings[0]!.message, 'metric')).toContain('has no stud behind it')
  })

  it('are not looked for while no member is known: that is one stop, not one for each hole', () => {
    expect(one([]).findings.map(({ code }) => code)).toEqual(['framing-unknown'])
  })
})

describe('over any framing, with plates and holes put by hand', () => {
  const walls = fc.record({
    gaps: fc.array(fc.record({ gap: fc.integer({ min: 45, max: 700 }), width: fc.constantFrom(38, 45, 76) }), {
      minLength: 1,
      maxLength: 12,
    }),
    columns: fc.integer({ min: 1, max: 3 }),
    slid: fc.option(fc.integer({ min: -45, max: 45 }), { nil: undefined }),
    moved: fc.option(fc.integer({ min: -200, max: 200 }), { nil: undefined }),
  })

  it('no plate is refused in silence, none is held with a stop on it, and each hole that misses is named', () => {
    fc.assert(fc.property(walls, ({ gaps, columns, slid, moved }) => {
      let x = 1500
      const { arrays, findings } = planned((job) => {
        framing(job, gaps.map(({ gap, width }) => ({ centre: x += gap + 38, width })))
        Object.assign(array(job), {
          rows: 1, columns,
          ...slid !== undefined && { plates: [{ row: 1, column: 1, lateralShift: slid }] },
          ...moved !== undefined && { holes: [{ row: 1, column: 1, of: 'top', rank: 1, x: 3100 + moved }] },
        })
      })
      const stopped = new Set(
        findings
          .filter(({ severity, stage }) => severity === 'stop' && stage === 'mount')
          .map(({ subject }) => subject.id),
      )
      for (const { id, plate, holes = [] } of arrays[0]!.positions) {
        const missing = holes.filter(({ margin }) => margin === undefined || margin < 0)
        for (const hole of missing) expect(stopped).toContain(hole.id)
        if (plate!.held) expect(missing).toEqual([])
        expect([id, plate!.held]).toEqual([
          id,
          ![id, ...holes.map(hole => hole.id)].some(subject => stopped.has(subject)),
        ])
      }
    }), { numRuns: cases(150) })
  })
})

it('opens what a hole has to spare to its sum, which comes out the same', () => {
  const job = exampleJob()
  job.walls[0]!.structure.members = [{ centre: 2890, width: 38 }, { centre: 3300, width: 45 }]
  Object.assign(array(job), { rows: 1, columns: 1, plates: [{ row: 1, column: 1, lateralShift: 40 }] })
  const { members, arrays } = planWall(job.walls[0]!, job)
  for (const hole of arrays[0]!.positions[0]!.holes!) {
    const { value, working } = marginFigure(hole, members, job.catalogue.fasteners[0])!
    expect(value).toBe(hole.margin)
    expect(working[0]!.value - Math.abs(hole.x - members[hole.member!]!.centre)).toBeCloseTo(value, 9)
  }
})

describe('mount, display and wall together', () => {
  it('stops what the maker’s figures forbid', () => {
    const { findings } = planned((job) => {
      job.catalogue.mounts[0]!.capacity = 20
      job.catalogue.mounts[0]!.maxCovering = 10
      array(job).orientation = 'inverted'
    })
    expect(findings.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['mount-over-capacity', 'mount-orientation', 'covering-too-thick']),
    )
  })

  it('stops plates that lie on each other', () => {
    const { findings } = planned((job) => {
      Object.assign(job.catalogue.mounts[0]!, { plate: { ...m1.plate, width: 1030 }, adjust: {} })
    })
    const collisions = findings.filter(({ code }) => code === 'plates-collide')
    expect(collisions).toHaveLength(4)
    expect(textToString(collisions[0]!.message, 'metric')).toContain('by 8 mm.')
  })

  it('keeps its rows of fasteners on a wall that carries all over', () => {
    const { arrays, findings } = planned((job) => {
      job.walls[0]!.structure = { kind: 'concrete' }
    })
    expect(arrays[0]!.positions[0]!.holes!.map(({ x }) => x - 2078)).toEqual(
      [-135, 135, -135, 135].map(n => expect.closeTo(n, 9)),
    )
    expect(findings.map(({ code }) => code)).toEqual(['fastener-of-another-base', 'capacity-not-known'])
  })

  it('names what cannot be, by field', () => {
    const job = exampleJob()
    Object.assign(array(job), { columns: 7, rows: 6, plates: [{ row: 1, column: 1, lateralShift: 46 }] })
    job.catalogue.mounts[0]!.capacity = 20
    expect(infeasibleInputs(job.walls[0]!, job.catalogue)).toEqual([
      { path: '$.arrays[0].columns', message: '7 columns are 7153.4 mm wide; the wall is 6200 mm' },
      { path: '$.arrays[0].rows', message: '6 rows are 3460.2 mm high; the wall is 3300 mm' },
      { path: '$.arrays[0].mount', message: 'Slipway P2 carries at most 20 kg; Kelda 46N weighs 21.5 kg' },
      {
        path: '$.arrays[0].plates[0].lateralShift',
        message: 'The lateral adjustment is 45 mm either way; 46 mm was entered',
      },
    ])
  })
})

it('sizes the lead hole by the wood', () => {
  const lag = exampleJob().catalogue.fasteners[0]!
  const bare = (structure: Wall['structure']) => ({ structure, covering: [] })
  expect(pilotOf(lag, bare({ kind: 'wood-stud', specificGravity: 0.42 }), 2.5)).toEqual({ bit: 6.5, depth: 74 })
  expect(pilotOf(lag, bare({ kind: 'wood-stud', specificGravity: 0.55 }), 2.5)).toEqual({ bit: 7, depth: 74 })
  expect(pilotOf(lag, bare({ kind: 'wood-stud', specificGravity: 0.7 }), 2.5)).toEqual({ bit: 8, depth: 74 })
  expect(pilotOf(lag, bare({ kind: 'wood-stud' }), 2.5)).toBeUndefined()
  expect(pilotOf({ ...lag, kind: 'toggle' }, bare({ kind: 'wood-stud', specificGravity: 0.42 }), 2.5)).toBeUndefined()
})
