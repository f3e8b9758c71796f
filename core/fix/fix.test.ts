import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { d46, exampleJob, m1 } from '../../tests/fixtures/job'
import type { Fastener, Job, ScrewKit, Wall } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'
import { breakout, capacityOf, chooseScrew, fastenerLoad, governingMode, lagShear, lagUse, lagWithdrawal, plainSetting, plateLoads, rowsOf, screwFault, screwRange, threadInWood, yieldModes } from './index'

const lag: Fastener = { id: 'lag', kind: 'lag-screw', base: 'wood-stud', diameter: 9.525, root: 6.731, length: 76, thread: 57, yield: 310.264 }
const spf = { gravity: 0.42, plate: 2.5, gap: 0, duration: 0.9 }
const kit: ScrewKit = { id: 'k', name: 'Kit M6', thread: 6, lengths: [10, 12, 14, 16, 20, 25, 30], washers: [1.6], spacers: [15] }

describe('a screw into the display', () => {
  it.each([
    ['a flat back', 0, 0, 10.1, 15.1], ['a spacer of 15', 15, 0, 25.1, 30.1], ['a spacer on a back recessed by 4', 15, 4, 29.1, 34.1],
  ])('on %s', (_, spacer, recess, shortest, longest) => {
    const range = screwRange({ bracket: 2.5, washers: 1.6, spacer, recess }, 6, 12)
    expect(range.shortest.value).toBeCloseTo(shortest, 9)
    expect(range.longest.value).toBeCloseTo(longest, 9)
  })

  it('is the longest of the kit that is safe; more washers where that makes one fit; else what to buy', () => {
    expect(chooseScrew(d46, 2.5, kit)).toMatchObject({ fits: true, length: 14, stack: { washers: 1.6 } })
    // 16 is too long by 0.9 with one washer, and safe with two.
    expect(chooseScrew(d46, 2.5, { ...kit, lengths: [16] })).toMatchObject({ fits: true, length: 16, stack: { washers: 3.2 } })
    const none = chooseScrew(d46, 2.5, { ...kit, lengths: [40] })
    expect(!none.fits && textToString(none.why, 'metric')).toBe('no screw of Kit M6 fits, with up to 3 washers: buy M6 screws of 10.1 to 15.1')
    expect(chooseScrew(d46, undefined, kit)).not.toHaveProperty('range')
    expect(chooseScrew({ ...d46, vesa: { ...d46.vesa, insertDepth: undefined } }, 2.5, kit)).toMatchObject({ fits: false })
  })

  it('never breaks the display nor strips its thread, whatever the stack', () => {
    const stack = fc.record({ bracket: fc.integer({ min: 1, max: 6 }), insert: fc.integer({ min: 8, max: 20 }), recess: fc.integer({ min: 0, max: 9 }), spacer: fc.constantFrom(0, 15) })
    fc.assert(fc.property(stack, ({ bracket, insert, recess, spacer }) => {
      const choice = chooseScrew({ ...d46, vesa: { ...d46.vesa, insertDepth: insert, recess } }, bracket, kit, spacer)
      if (!choice.fits) return
      const { washers } = choice.stack
      const engaged = choice.length - bracket - washers - spacer - recess
      expect(engaged).toBeGreaterThanOrEqual(6 - 1e-9)
      expect(engaged).toBeLessThanOrEqual(insert - 1 + 1e-9)
      expect(screwFault(choice.length, choice.range)).toBeUndefined()
    }))
  })
})

describe('loads on a plate', () => {
  const rows = [{ count: 2, above: 420 }, { count: 2, above: 60 }]
  const weight = (21.5 + 12.3) * 9.80665
  it.each([
    ['stowed', weight, 92, 82.9, 35.6], ['service', weight, 346, 82.9, 133.8], ['service-hand', weight + 250, 346, 145.4, 234.7],
  ] as const)('as worked, %s', (name, down, arm, shear, tension) => {
    const load = fastenerLoad({ case: name, down, out: 0, arm, aside: 0 }, rows)
    expect(load.shear).toBeCloseTo(shear, 1)
    expect(load.tension).toBeCloseTo(tension, 1)
  })

  it('come from display and mount, wind from the wall', () => {
    expect(plateLoads(d46, m1, {}).map(({ case: name, arm }) => [name, arm])).toEqual([['stowed', 92], ['service', 346], ['service-hand', 346]])
    expect(plateLoads(d46, { ...m1, depth: { stowed: 30, service: 30 } }, {}).map(({ case: name }) => name)).toEqual(['stowed'])
    const wind = plateLoads(d46, m1, { windSpeed: 30 }).at(-1)!
    // 0.613 × 30² × 1.3 × 1.0214 m × 0.5762 m
    expect(wind.out).toBeCloseTo(0.613 * 900 * 1.3 * 1.0214 * 0.5762, 6)
    expect(fastenerLoad(wind, rowsOf(m1)).tension).toBeCloseTo(fastenerLoad({ ...wind, out: 0 }, rowsOf(m1)).tension + wind.out / 4, 9)
    expect(rowsOf(m1)).toEqual([{ count: 2, above: 450, across: [-135, 135] }, { count: 2, above: 90, across: [-135, 135] }])
  })

  it('balance: the rows’ tensions turn the plate back as far as its weight turns it out', () => {
    fc.assert(fc.property(fc.integer({ min: 50, max: 2000 }), fc.integer({ min: 20, max: 900 }), fc.array(fc.record({ count: fc.integer({ min: 1, max: 4 }), above: fc.integer({ min: 10, max: 900 }) }), { minLength: 1, maxLength: 4 }), (down, arm, rows) => {
      const { tension } = fastenerLoad({ case: 'stowed', down, out: 0, arm, aside: 0 }, rows)
      const top = Math.max(...rows.map(({ above }) => above))
      const turnsBack = rows.reduce((sum, { count, above }) => sum + count * above * tension * above / top, 0)
      expect(turnsBack / (down * arm)).toBeCloseTo(1, 9)
    }))
  })
})

describe('a lag screw in wood', () => {
  it.each([[0.42, 234.8], [0.50, 305.0]])('of G %d is withdrawn by so many pounds an inch', (gravity, pounds) => {
    const each = lagWithdrawal(lag, { ...spf, gravity, duration: 1 }, 25.4).value / 4.4482216
    expect(each).toBeCloseTo(pounds, 0)
  })

  it('bears as worked: 2109 N out, 790 N across, and 369 N across through board', () => {
    expect(lagWithdrawal(lag, spf, 57).value).toBeCloseTo(2109, -0.5)
    expect(lagShear(lag, spf, 57)!.value).toBeCloseTo(790, -0.5)
    expect(lagShear(lag, { ...spf, gap: 12.5 }, 57)!.value).toBeCloseTo(369, -0.5)
    const use = (shear: number) => lagUse(234.7, 145.4, 2109, shear)
    expect([use(790), use(369)].map(value => Math.round(100 * value) / 100)).toEqual([0.19, 0.3])
  })

  it('fails by mode III in the wood in the worked case, and its modes obey their own equations', () => {
    const dowel = { side: 23_055, main: 1246.6, sideLength: 0.0984, mainLength: 2.244, gap: 0, moment: 139.57 }
    expect(governingMode(dowel, 0.265)).toMatchObject({ mode: 'IIIs', reduction: 3.2 })
    expect(governingMode(dowel, 0.16).reduction).toBe(2.2)
    expect(governingMode(dowel, 0.2).reduction).toBe(2.5)
    fc.assert(fc.property(fc.double({ min: 0, max: 2, noNaN: true }), fc.double({ min: 0.5, max: 4, noNaN: true }), (gap, mainLength) => {
      const modes = yieldModes({ ...dowel, gap, mainLength })
      const { side: s, main: m, sideLength, moment } = dowel
      // Mode IV with no gap is √(2·(Ms + Mm)·2/(1/s + 1/m)/2); with one it solves its quadratic.
      const { IV, II } = modes
      expect((1 / (2 * s) + 1 / (2 * m)) * IV ** 2 + gap * IV - 2 * moment).toBeCloseTo(0, 5)
      expect((1 / (4 * s) + 1 / (4 * m)) * II ** 2 + (sideLength / 2 + gap + mainLength / 2) * II - s * sideLength ** 2 / 4 - m * mainLength ** 2 / 4).toBeCloseTo(0, 4)
    }))
  })

  it('bears no more across for a thicker covering, and is used by more load as much more', () => {
    const mm = fc.integer({ min: 0, max: 60 })
    fc.assert(fc.property(mm, mm, (a, b) => {
      const [thin, thick] = [Math.min(a, b), Math.max(a, b)]
      const shear = (gap: number) => lagShear(lag, { ...spf, gap }, Math.max(threadInWood(lag, 2.5, gap), 1))!.value
      expect(shear(thick)).toBeLessThanOrEqual(shear(thin) + 1e-9)
      // In one direction use grows as the load does. Along Z_α alone a little tension lowers the use of a screw in shear.
      expect(lagUse(3 * a, 3 * b, 2109, 369)).toBeCloseTo(3 * lagUse(a, b, 2109, 369), 9)
      expect(lagUse(a, b, 2109, 369)).toBeGreaterThanOrEqual(Math.hypot(a, b) / 2109 - 1e-12)
      expect(lagUse(a, b, 2109, 369)).toBeLessThanOrEqual(Math.hypot(a, b) / 369 + 1e-12)
    }))
    expect(lagUse(0, 0, 2109, 369)).toBe(0)
  })
})

describe('what a fastener bears elsewhere', () => {
  const wall = (structure: Wall['structure'], covering: Wall['covering'] = []) => ({ ...exampleJob().walls[0]!, structure, covering })
  const screw: Fastener = { id: 's', kind: 'self-drilling', base: 'steel-stud', diameter: 5.5, length: 50 }
  it('in sheet steel follows pull-out and bearing', () => {
    const known = capacityOf(screw, wall({ kind: 'steel-stud', gauge: 0.84 }), plainSetting(m1), {}, 'stowed')
    if (!known.known) throw new Error('not known')
    expect(known.capacity.tension.value).toBeCloseTo(0.85 * 0.84 * 5.5 * 310 / 3, 9)
    expect(known.capacity.shear.value).toBeCloseTo(Math.min(4.2 * Math.sqrt(0.84 ** 3 * 5.5), 2.7 * 0.84 * 5.5) * 310 / 3, 9)
    expect(known.capacity.use(known.capacity.tension.value, 0)).toBeCloseTo(1, 12)
    expect(capacityOf(screw, wall({ kind: 'steel-stud' }), plainSetting(m1), {}, 'stowed')).toMatchObject({ known: false })
  })

  it('is the maker’s in concrete and block, together by 5/3 and by the sum', () => {
    const anchor: Fastener = { id: 'a', kind: 'wedge-anchor', base: 'concrete', diameter: 8, length: 65, allowable: { tension: 2000, shear: 3000 } }
    const use = (kind: 'concrete' | 'block') => {
      const known = capacityOf({ ...anchor, base: kind }, wall({ kind }), plainSetting(m1), {}, 'stowed')
      return known.known && known.capacity.use(1000, 1500)
    }
    expect(use('concrete')).toBeCloseTo(2 * 0.5 ** (5 / 3), 12)
    expect(use('block')).toBeCloseTo(1, 12)
    expect(capacityOf({ ...anchor, allowable: undefined }, wall({ kind: 'concrete' }), plainSetting(m1), {}, 'stowed')).toMatchObject({ known: false })
  })

  it('of concrete itself breaks out as ACI 318 says', () => expect(breakout(4000 / 145.0377377, 63.5).value / 4.4482216).toBeCloseTo(4250, -1))

  it('of a hollow-wall anchor counts only where the house rule says so', () => {
    const hollow: Fastener = { id: 'h', kind: 'hollow-wall-anchor', base: 'wood-stud', diameter: 8, length: 60, allowable: { tension: 180, shear: 260 } }
    const known = (hollowWallAnchors?: 'never' | 'supplement' | 'counted') => capacityOf(hollow, exampleJob().walls[0]!, plainSetting(m1), { hollowWallAnchors }, 'stowed').known
    expect([known(), known('never'), known('supplement'), known('counted')]).toEqual([false, false, false, true])
  })
})

describe('the plan of a wall', () => {
  const fixed = (change: (job: Job) => void = () => {}) => {
    const job = exampleJob()
    change(job)
    const { arrays, findings } = planWall(job.walls[0]!, job)
    return { loads: arrays[0]!.positions[0]!.loads!, findings: findings.filter(({ stage }) => stage === 'fix').map(({ severity, code, message }) => [severity, code, textToString(message, 'metric')]) }
  }
  const fastener = (job: Job) => job.catalogue.fasteners[0]!

  it('carries the loads of every screen, the governing case first', () => {
    const { loads, findings } = fixed()
    expect(loads.map(({ case: name }) => name)).toEqual(['service-hand', 'stowed', 'service'])
    expect(loads[0]!.utilisation).toBeGreaterThan(0.25)
    expect(findings).toEqual([])
  })

  it('is stopped where a fastener is overloaded, and cautioned where it is much used', () => {
    const heavy = (mass: number) => fixed((job) => {
      job.catalogue.displays[0]!.mass = mass
      job.catalogue.mounts[0]!.capacity = 500
    }).findings.map(([severity, code]) => [severity, code])
    expect(heavy(100)).toEqual([])
    expect(heavy(140)).toEqual([['caution', 'fastener-much-used']])
    expect(heavy(190)).toEqual([['stop', 'fastener-overloaded']])
  })

  it('is used no less by more weight, in any case, through any covering, in any wind', () => {
    const mass = fc.integer({ min: 1, max: 90 })
    fc.assert(fc.property(mass, mass, fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 45 }), (a, b, thickness, windSpeed) => {
      const uses = (kilograms: number) => new Map(fixed((job) => {
        job.catalogue.displays[0]!.mass = kilograms
        job.catalogue.mounts[0]!.capacity = 500
        Object.assign(job.walls[0]!, { windSpeed, covering: thickness > 0 ? [{ material: 'gypsum-board', thickness }] : [] })
      }).loads.map(load => [load.case, load.utilisation!]))
      const [light, heavy] = [uses(Math.min(a, b)), uses(Math.max(a, b))]
      expect(light.size).toBe(4)
      for (const [name, use] of light) expect(heavy.get(name)!, name).toBeGreaterThanOrEqual(use - 1e-12)
    }), { numRuns: 40 })
  })

  it('never shows a use that rests on a figure not given, and stops', () => {
    const { loads, findings } = fixed((job) => { delete fastener(job).yield })
    expect(loads.every(({ utilisation }) => utilisation === undefined)).toBe(true)
    expect(findings).toEqual([['stop', 'capacity-not-known', 'What lag bears is not known: the sheet of lag gives no bending yield.']])
  })

  it('counts the covering as a gap unless the house rule says otherwise', () => {
    const use = (coveringCountsAsGap?: boolean) => fixed((job) => { job.rules = { coveringCountsAsGap } }).loads[0]!.utilisation!
    expect(use()).toBe(use(true))
    expect(use(false)).toBeLessThan(use(true))
  })

  it.each([
    ['of another base', (job: Job) => { fastener(job).base = 'concrete' }, 'fastener-of-another-base'],
    ['that is hardly in the wood', (job: Job) => { Object.assign(fastener(job), { length: 50 }) }, 'penetration-too-small'],
    ['into the display that is too long', (job: Job) => { job.walls[0]!.arrays[0]!.screw = 16 }, 'display-screw-too-long'],
    ['into the display that is too short', (job: Job) => { job.walls[0]!.arrays[0]!.screw = 10 }, 'display-screw-too-short'],
    ['into a display that says nothing of its inserts', (job: Job) => { delete job.catalogue.displays[0]!.vesa.insertDepth }, 'display-screw-not-known'],
    ['that no kit has', (job: Job) => { job.catalogue.screwKits = [] }, 'display-screw-to-buy'],
  ])('tells of a screw %s', (_, change, code) => expect(fixed(change).findings.map(([, code]) => code)).toContain(code))

  it('tells of an anchor too short for what is in front of the base, and of a base too thin', () => {
    const { findings } = fixed((job) => {
      Object.assign(fastener(job), { kind: 'wedge-anchor', base: 'concrete', length: 65, embedment: 45, head: 9, allowable: { tension: 3000, shear: 3000 } })
      job.walls[0]!.structure = { kind: 'concrete', thickness: 60 }
      job.walls[0]!.covering = [{ material: 'plaster', thickness: 15 }]
    })
    expect(findings.map(([, , message]) => message)).toEqual([
      'lag is 6.5 too short: 26.5 of covering, plate and nut, and 45 of embedment make 71.5.', 'The base is 60 thick; lag needs 67.5.',
    ])
  })
})
