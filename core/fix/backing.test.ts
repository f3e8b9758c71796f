import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob, m1 } from '../../tests/fixtures/job'
import { tableOf } from '../mark/sheet'
import { contextOf, planWall } from '../plan'
import { wallFor } from '../survey'
import type { Fastener, Job, Layer, LogEntry } from '../job'
import { asBuilt } from '../log'
import { bearerOf, strengthOf } from './index'
import { rankFasteners } from './ranking'

const SCREW: Fastener = {
  id: 'ply', kind: 'wood-screw', base: 'plywood', diameter: 6, length: 45, root: 4.2, thread: 40, yield: 620,
  washer: 18, finish: 'zinc', edgeDistance: 24, allowable: { tension: 520, shear: 640 }, minThickness: 18,
}
const PLYWOOD: Layer = { material: 'plywood', thickness: 18, backing: true }
const BOARD: Layer = { material: 'gypsum-board', thickness: 12.5 }

/** A wall of drywall studs, nothing read, with what is said of its build-up. */
function jobOf(covering: Layer[], screw: Partial<Fastener> = {}): Job {
  const job = exampleJob()
  const [wall] = job.walls
  Object.assign(wall!, { evidence: [], covering, structure: { kind: 'steel-stud', gauge: 0.5 } })
  Object.assign(wall!.arrays[0]!, { rows: 1, columns: 1, fastener: 'ply' })
  job.catalogue.fasteners = [{ ...SCREW, ...screw }]
  return job
}
function planned(covering: Layer[], screw?: Partial<Fastener>) {
  const job = jobOf(covering, screw)
  const { arrays, findings, marking } = planWall(job.walls[0]!, contextOf(job))
  const codes = findings.filter(({ stage }) => stage === 'fix' || stage === 'mount')
    .map(({ severity, code }) => `${severity} ${code}`)
  return { position: arrays[0]!.positions[0]!, codes, rows: tableOf(marking.marks, 'metric', {}) }
}
function strength(covering: Layer[], screw: Partial<Fastener> = {}) {
  const job = jobOf(covering, screw)
  const wall = wallFor(job.walls[0]!, 'plywood')
  return strengthOf({ ...SCREW, ...screw }, wall, bearerOf(m1), { rules: {} })
}

describe('plates on a sheet that backs the board', () => {
  it('are held wherever they hang, and what holds the sheet is to be checked', () => {
    const { position, codes, rows } = planned([PLYWOOD, BOARD])
    expect(position.plate).toMatchObject({ held: true, lateralShift: 0 })
    expect(position.holes).toHaveLength(4)
    expect(position.holes!.every(({ member }) => member === undefined)).toBe(true)
    // 70 % of the root of 4.2 mm, and as deep as the screw goes under a plate of 2.5 mm.
    expect(position.holes![0]).toMatchObject({ bit: 2.5, depth: 43, into: 'plywood' })
    expect(rows.filter(({ kind }) => kind === 'hole').map(({ into }) => into)).toEqual(Array(4).fill('plywood'))
    expect(codes).toContain('caution backing-not-checked')
    expect(codes).not.toContain('stop steel-stud-too-thin')
  })

  it('hang on nothing where the sheet is not said to carry', () => {
    const { codes } = planned([{ ...PLYWOOD, backing: false }, BOARD])
    expect(codes).toContain('stop fastener-of-another-base')
  })

  it('ask for no stud, but to check the backing by them; what is fixed to studs does', () => {
    const unknown = (fastener: string) => {
      const job = jobOf([PLYWOOD, BOARD])
      job.catalogue.fasteners.push({ ...SCREW, id: 'drill', kind: 'self-drilling', base: 'steel-stud' })
      job.walls[0]!.arrays[0]!.fastener = fastener
      return planWall(job.walls[0]!, contextOf(job)).findings
        .filter(({ code }) => code === 'framing-unknown').map(({ severity }) => severity)
    }
    expect(unknown('ply')).toEqual(['caution'])
    expect(unknown('drill').sort()).toEqual(['caution', 'stop'])
  })

  it('bear in tension what the maker allows, and in shear no more than the yield equations leave through board', () => {
    const [bare, boarded] = [strength([PLYWOOD]), strength([PLYWOOD, BOARD])]
    if (!bare.known || !boarded.known) throw new Error('must be known')
    expect([bare.strength.tension, bare.strength.shear(0)]).toEqual([520, 640])
    // TR12, mode II: plywood of G 0.42, 18 mm, gap 12.5, plate 2.5, K_D 2.2, load duration 0.9; by hand 182.5 N.
    expect(boarded.strength.tension).toBe(520)
    expect(boarded.strength.shear(0)).toBeCloseTo(182.5, 0)
    expect(boarded.strength.use(52, 18.25, 0)).toBeCloseTo(0.2, 3)
  })

  it('are refused on a sheet thinner than tested, with a screw that does not pass it, or unknown', () => {
    expect(planned([{ ...PLYWOOD, thickness: 15 }, BOARD]).codes).toContain('stop backing-too-thin')
    // Board 12.5, plate 2.5 and sheet 18 take 33.
    expect(planned([PLYWOOD, BOARD], { length: 33 }).codes).not.toContain('stop backing-too-thin')
    expect(planned([PLYWOOD, BOARD], { length: 32.9 }).codes).toContain('stop backing-too-thin')
    expect(strength([PLYWOOD, BOARD], { minThickness: undefined }).known).toBe(false)
    expect(strength([PLYWOOD, BOARD], { yield: undefined }).known).toBe(false)
    expect(strength([PLYWOOD], { allowable: undefined }).known).toBe(false)
  })
})

describe('fasteners of a sheet', () => {
  it('hit nothing that is known of a stud, and a hole that misses the sheet is no stud’s either', () => {
    const job = jobOf([PLYWOOD, BOARD])
    const drilled = (result: 'hit' | 'miss'): LogEntry => ({
      id: result, at: '2026-11-12T09:00:00Z', by: 'Odd', wall: 'w1', kind: 'hole', hole: 'a1-r1c1-top-1',
      x: 2965, y: 1802, result,
    })
    const planOf = (log: LogEntry[], fastener = 'ply') => {
      job.walls[0]!.arrays[0]!.fastener = fastener
      return planWall(job.walls[0]!, contextOf(job), asBuilt(log, { id: 'w1' }))
    }
    expect(planOf([drilled('hit')]).members).toEqual([])
    // Nor once another fastener is chosen: the bit had met plywood.
    job.catalogue.fasteners.push({ ...SCREW, id: 'drill', kind: 'self-drilling', base: 'steel-stud' })
    expect(planOf([drilled('hit')], 'drill').members).toEqual([])
    const missed = planOf([drilled('miss')])
    expect(missed.findings.find(({ code }) => code === 'backing-not-met')).toMatchObject({ severity: 'stop' })
    expect(missed.dead[0]!.fill).toBe('glue in a wood dowel, and fill the board with jointing compound')
  })

  it('are not compared with fasteners for the studs, for which they would hang elsewhere', () => {
    const job = jobOf([PLYWOOD, BOARD])
    const toggle: Fastener = {
      ...SCREW, id: 'toggle', kind: 'toggle', base: 'steel-stud', gauge: 0.4, hole: { diameter: 13, depth: 60 },
      allowable: { tension: 9_000, shear: 9_000 },
    }
    const [array] = job.walls[0]!.arrays
    const { arrays } = planWall(job.walls[0]!, contextOf(job))
    const offered = [toggle, ...job.catalogue.fasteners]
    const ranked = rankFasteners(
      offered,
      { array: array!, positions: arrays[0]!.positions, wall: job.walls[0]!, job: contextOf(job) },
      'metric',
    )
    const told = ranked.find(({ fastener }) => fastener.id === 'toggle')!
    expect([told.utilisation, told.stop]).toEqual([undefined, expect.stringContaining('places the plates anew')])
    expect(ranked.find(({ fastener }) => fastener.id === 'ply')!.utilisation).toBeGreaterThan(1)
  })

  it('never bear more for more board', () => {
    const mm = (max: number) => fc.double({ min: 0, max, noNaN: true })
    fc.assert(fc.property(mm(40), mm(20), (gap, more) => {
      const shearOf = (thickness: number) => {
        const known = strength([PLYWOOD, ...thickness > 0 ? [{ ...BOARD, thickness }] : []], { length: 90 })
        return known.known ? known.strength.shear(0) : 0
      }
      expect(shearOf(gap + more)).toBeLessThanOrEqual(shearOf(gap) + 1e-9)
    }), { numRuns: 30 })
  })
})
