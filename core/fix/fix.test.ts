import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { d46, exampleJob, m1 } from '../../tests/fixtures/job'
import type { Fastener, Job, ScrewKit, Wall } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'
import {
  bearerOf, chooseScrew, governingMode, groupFigures, groupLoads, isOffCentre,
  lateralStrength, plateLoads, screwFault, screwRange,
  screwUse, shearOf, strengthOf, tipOf, withdrawal, woodBearing, yieldModes, type PlateLoad,
} from './index'
import { cases } from '../../tests/fixtures/soak'

const lag: Fastener = { id: 'lag', kind: 'lag-screw', base: 'wood-stud', diameter: 9.525, root: 6.731, length: 76, thread: 57, yield: 310.264 }
const spf = { gravity: 0.42, plate: 2.5, plateBearing: 87_000 / 145.0377377, covering: 0, duration: 0.9 }
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
    expect(!none.fits && textToString(none.why, 'metric')).toBe('no screw in Kit M6 fits with up to 3 washers; buy M6 screws 10.1 to 15.1 mm long')
    expect(chooseScrew(d46, undefined, kit)).not.toHaveProperty('range')
    expect(chooseScrew({ ...d46, vesa: { ...d46.vesa, insertDepth: undefined } }, 2.5, kit)).toMatchObject({ fits: false })
  })

  it('never breaks the display nor strips its thread, whatever the stack', () => {
    const stack = fc.record({ bracket: fc.integer({ min: 1, max: 6 }), insert: fc.integer({ min: 8, max: 20 }), recess: fc.integer({ min: 0, max: 9 }), spacer: fc.constantFrom(0, 15) })
    fc.assert(fc.property(stack, ({ bracket, insert, recess, spacer }) => {
      const choice = chooseScrew({ ...d46, vesa: { ...d46.vesa, insertDepth: insert, recess, spacerIn: 'across' } }, bracket, kit, spacer)
      if (!choice.fits) return
      const { washers } = choice.stack
      const engaged = choice.length - bracket - washers - spacer - recess
      expect(engaged).toBeGreaterThanOrEqual(6 - 1e-9)
      expect(engaged).toBeLessThanOrEqual(insert - 1 + 1e-9)
      expect(screwFault(choice.length, choice.range)).toBeUndefined()
    }))
  })
})

const weight = (21.5 + 12.3) * 9.80665
const pulled = (arm: number, face?: number, aside = 0): PlateLoad => ({ case: 'service', out: 0, pulls: [{ what: 'weight', down: weight, arm, aside }, ...face === undefined ? [] : [{ what: 'hand' as const, down: 250, arm: face, aside }]] })
const four = [{ x: -135, y: 420 }, { x: 135, y: 420 }, { x: -135, y: 60 }, { x: 135, y: 60 }]
const held = { centre: { x: 0, y: 250 }, foot: 0, top: 480, left: -260, right: 260 }
const loadsOf = (load: PlateLoad, places = four, by = held) => {
  const loads = groupLoads(load, places, by)
  if (typeof loads === 'string') throw new Error(loads)
  return loads
}

describe('loads on a plate', () => {
  it.each([
    ['stowed', pulled(92), 82.9, [35.6, 35.6, 5.1, 5.1]], ['pulled out', pulled(346), 82.9, [133.8, 133.8, 19.1, 19.1]], ['with a hand at its face', pulled(346, 380), 145.4, [244.6, 244.6, 34.9, 34.9]],
  ] as const)('as worked, %s', (_, load, shear, tensions) => {
    const loads = loadsOf(load)
    loads.forEach((each, n) => expect(each.tension).toBeCloseTo(tensions[n]!, 1))
    for (const each of loads) expect(shearOf(each)).toMatchObject({ shear: expect.closeTo(shear, 1), angle: 0 })
  })

  it('come from display, mount and what hangs on it; wind both ways from the wall', () => {
    const cases = (change = {}, wall = {}) =>
      plateLoads({ display: d46, mount: { ...m1, ...change }, wall }).filter(({ case: name }) => !isOffCentre(name))
    expect(cases().map(({ case: name, pulls }) => [name, pulls.map(({ arm }) => arm)])).toEqual([['stowed', [92]], ['service', [346]], ['service-hand', [346, 380]]])
    // A hand also pulls a mount that stays: 30 and half of 68 from the wall, the face 98.
    expect(cases({ depth: { stowed: 30, service: 30 } }).map(({ case: name, pulls }) => [name, pulls.map(({ arm }) => arm)])).toEqual([['stowed', [64]], ['stowed-hand', [64, 98]]])
    const wind = cases({}, { windSpeed: 30 }).filter(({ case: name }) => name === 'wind').map(({ out }) => out)
    // 0.613 × 30² × 1.3 × 1.0214 m × 0.5762 m
    expect(wind).toEqual([1, -1].map(way => expect.closeTo(way * 0.613 * 900 * 1.3 * 1.0214 * 0.5762, 6)))
    const [stowed] = plateLoads({ display: { ...d46, centreOfGravity: { x: 20, y: -30, z: 25 } }, mount: m1, orientation: 'portrait-cw', behind: { mass: 1.4 }, wall: {} })
    // Turned clockwise, 30 below the centre comes to lie 30 left of it.
    expect(stowed!.pulls).toEqual([{ what: 'weight', down: expect.closeTo((21.5 + 12.3 + 1.4) * 9.80665, 9), arm: 58 + 25, aside: -30 }])
  })

  it('of an arm swung to either side, with and without a hand', () => {
    const arm = plateLoads({ display: d46, mount: { ...m1, kind: 'arm', depth: { stowed: 80, service: 560 } }, wall: {} })
    const swung = arm.filter(({ case: name }) => name.startsWith('swung') && !isOffCentre(name))
    expect(swung.map(({ case: name, pulls }) => [name, pulls.map(({ aside }) => aside)])).toEqual([['swung', [560]], ['swung-hand', [560, 560]], ['swung', [-560]], ['swung-hand', [-560, -560]]])
  })

  const places = fc.array(fc.record({ x: fc.integer({ min: -300, max: 300 }), y: fc.integer({ min: 1, max: 700 }) }), { minLength: 2, maxLength: 7 })
    .filter(found => found.some(({ x, y }) => x !== found[0]!.x || y !== found[0]!.y))
  it('balance: forces and moments of all fasteners together are those of the load', () => {
    fc.assert(fc.property(places, fc.integer({ min: -200, max: 200 }), fc.integer({ min: 20, max: 900 }), (places, centre, arm) => {
      const load = pulled(arm, arm + 40)
      const loads = loadsOf(load, places, { ...held, centre: { x: centre, y: 300 } })
      const sum = (each: (load: typeof loads[0], n: number) => number) => loads.reduce((total, load, n) => total + each(load, n), 0)
      expect(sum(({ down }) => down)).toBeCloseTo(weight + 250, 6)
      expect(sum(({ across }) => across)).toBeCloseTo(0, 6)
      // About the display's centre: clockwise as the load's own moment is none there.
      expect(sum(({ down, across }, n) => down * (places[n]!.x - centre) + across * (places[n]!.y - 300))).toBeCloseTo(0, 3)
      expect(sum(({ tension }, n) => tension * places[n]!.y)).toBeCloseTo(weight * arm + 250 * (arm + 40), 3)
    }))
  })

  it('open to workings that come out the same', () => {
    fc.assert(fc.property(places, fc.integer({ min: -200, max: 200 }), fc.nat(6), (places, centre, n) => {
      const by = { ...held, centre: { x: centre, y: 300 } }
      const [index, load] = [n % places.length, { ...pulled(120, 160), out: 700 }]
      const { tension, shear } = groupFigures(load, places, by, index)
      const each = loadsOf(load, places, by)[index]!
      expect(tension.value).toBeCloseTo(each.tension, 9)
      expect(shear.value).toBeCloseTo(shearOf(each).shear, 9)
    }))
    const { shear } = groupFigures(pulled(92), four, { ...held, centre: { x: 40, y: 250 } }, 1)
    expect(shear.working.map(({ expression }) => textToString(expression, 'metric'))[1]).toBe('weight 331.5 N × 40 mm from the centre of the fasteners')
    // The same sum in pounds and inches: 331.5 N are 74.5 lbf, 40 mm are 1.57 in.
    expect(textToString(shear.working[1]!.expression, 'imperial')).toBe('weight 74.5 lbf × 1.57 in from the centre of the fasteners')
  })

  it('are none that fasteners at the foot, or a single one beside the centre, could hold', () => {
    expect(groupLoads(pulled(92), [{ x: 0, y: 0 }, { x: 50, y: 0 }], held)).toBe('none-above-foot')
    expect(groupLoads(pulled(92), [{ x: 30, y: 200 }], held)).toBe('free-to-turn')
    expect(groupLoads(pulled(92), [{ x: 0, y: 200 }], held)).toHaveLength(1)
  })

  it('by wind grow with it, away from the wall; towards it they do nothing to a plate as large as what it bears', () => {
    const top = (out: number, by = held) => Math.max(...loadsOf({ ...pulled(92), out }, four, by).map(({ tension }) => tension))
    expect(top(800)).toBeGreaterThan(top(400))
    expect(top(-800)).toBe(top(0))
    // A display whose centre is above the plate pries its lower fasteners out.
    expect(top(-800, { ...held, centre: { x: 0, y: 700 } })).toBeGreaterThan(top(0))
  })
})

describe('a screw in wood', () => {
  it.each([[0.42, 234.8], [0.50, 305.0]])('of G %d is withdrawn by so many pounds an inch', (gravity, pounds) => {
    expect(withdrawal(lag, { ...spf, gravity, duration: 1 }, 25.4) / 4.4482216).toBeCloseTo(pounds, 0)
  })

  it('bears as worked: 2109 N out, 790 N across, and 369 N across through board; utilisation 0.19 and 0.39', () => {
    expect(withdrawal(lag, spf, 57)).toBeCloseTo(2109, -0.5)
    const [bare, board] = [lateralStrength(lag, spf, 0, 57)!, lateralStrength(lag, { ...spf, covering: 12.5 }, 0, 57)!]
    expect([bare, board].map(Math.round)).toEqual([790, 369])
    const use = (shear: number) => screwUse(234.7, 145.4, 2109, shear)
    expect([use(790), use(369)].map(value => Math.round(100 * value) / 100)).toEqual([0.19, 0.39])
    expect(use(369)).toBeCloseTo(145.4 / 369, 9)
  })

  it('leaves its point out of what holds, and its covering counts as a gap only by the rule', () => {
    expect(tipOf(lag)).toBeCloseTo(25.4 * 7 / 32, 9)
    expect(tipOf({ ...lag, tip: 4 })).toBe(4)
    expect(tipOf({ ...lag, diameter: 14 })).toBeCloseTo(0.65 * 14, 9)
    expect(tipOf({ ...lag, kind: 'wood-screw' })).toBe(0)
    expect(lateralStrength(lag, { ...spf, covering: 12.5, coveringIsGap: false }, 0, 57)).toBe(lateralStrength(lag, spf, 0, 57))
  })

  it('fails by mode III in the wood in the worked case, and its modes obey their own equations', () => {
    const dowel = { side: 23_055, main: 1246.6, sideLength: 0.0984, mainLength: 2.244, gap: 0, moment: 139.57 }
    expect(governingMode(dowel, 0.265)).toMatchObject({ mode: 'IIIs', reduction: 3.2 })
    expect(governingMode(dowel, 0.265, 1.25)).toMatchObject({ mode: 'IIIs', reduction: 4 })
    expect(governingMode(dowel, 0.16).reduction).toBe(2.2)
    expect(governingMode(dowel, 0.2).reduction).toBe(2.5)
    fc.assert(fc.property(fc.double({ min: 0, max: 2, noNaN: true }), fc.double({ min: 0.5, max: 4, noNaN: true }), (gap, mainLength) => {
      const { IV, II } = yieldModes({ ...dowel, gap, mainLength })
      const { side: s, main: m, sideLength, moment } = dowel
      expect((1 / (2 * s) + 1 / (2 * m)) * IV ** 2 + gap * IV - 2 * moment).toBeCloseTo(0, 5)
      expect((1 / (4 * s) + 1 / (4 * m)) * II ** 2 + (sideLength / 2 + gap + mainLength / 2) * II - s * sideLength ** 2 / 4 - m * mainLength ** 2 / 4).toBeCloseTo(0, 4)
    }))
  })

  it('bears least across the grain, and less through a thicker covering, in the wet and for longer', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 89 }), fc.integer({ min: 0, max: 59 }), (angle, gap) => {
      const at = (a: number, covering: number, change = {}) => lateralStrength(lag, { ...spf, covering, ...change }, a, 40)!
      expect(at(angle + 1, gap)).toBeLessThan(at(angle, gap))
      expect(at(angle, gap + 1)).toBeLessThanOrEqual(at(angle, gap) + 1e-9)
      expect(at(angle, gap, { wet: true })).toBeCloseTo(0.7 * at(angle, gap), 9)
      expect(at(angle, gap, { duration: 1.6 })).toBeCloseTo(1.6 / 0.9 * at(angle, gap), 9)
    }))
    expect(woodBearing(lag, 0.42, 0)).toBeCloseTo(4704, 0)
    expect(woodBearing(lag, 0.42, 90)).toBeCloseTo(6100 * 0.42 ** 1.45 / Math.sqrt(0.375), 6)
    expect(woodBearing({ kind: 'wood-screw', diameter: 4.8 }, 0.42, 90)).toBeCloseTo(16_600 * 0.42 ** 1.84, 6)
  })

  it('is never used less by more load, in tension or in shear', () => {
    const load = fc.double({ min: 0, max: 5000, noNaN: true })
    fc.assert(fc.property(load, load, fc.double({ min: 0, max: 1000, noNaN: true }), fc.double({ min: 100, max: 4000, noNaN: true }), fc.double({ min: 50, max: 1500, noNaN: true }), (t, v, more, W, Z) => {
      expect(screwUse(t + more, v, W, Z)).toBeGreaterThanOrEqual(screwUse(t, v, W, Z) - 1e-9)
      expect(screwUse(t, v + more, W, Z)).toBeGreaterThanOrEqual(screwUse(t, v, W, Z) - 1e-9)
    }))
    expect(screwUse(0, 0, 2109, 369)).toBe(0)
  })
})

describe('what a fastener bears elsewhere', () => {
  const wall = (structure: Wall['structure'], covering: Wall['covering'] = []) => ({ ...exampleJob().walls[0]!, structure, covering })
  const screw: Fastener = { id: 's', kind: 'self-drilling', base: 'steel-stud', diameter: 5.5, length: 50 }
  const known = (fastener: Fastener, wall: Wall) => strengthOf(fastener, wall, bearerOf(m1), {})
  it('in sheet steel follows pull-out and bearing where the sheets are in contact, and is not known through a covering', () => {
    const bare = known(screw, wall({ kind: 'steel-stud', gauge: 0.84 }))
    if (!bare.known) throw new Error('not known')
    expect(bare.strength.tension).toBeCloseTo(0.85 * 0.84 * 5.5 * 310 / 3, 9)
    expect(bare.strength.shear(0)).toBeCloseTo(Math.min(4.2 * Math.sqrt(0.84 ** 3 * 5.5), 2.7 * 0.84 * 5.5) * 310 / 3, 9)
    expect(bare.strength.use(bare.strength.tension, 0, 0)).toBeCloseTo(1, 12)
    expect(known(screw, wall({ kind: 'steel-stud' }))).toMatchObject({ known: false })
    expect(known(screw, wall({ kind: 'steel-stud', gauge: 0.84 }, [{ material: 'gypsum-board', thickness: 12.5 }]))).toMatchObject({ known: false })
    expect(known({ ...screw, allowable: { tension: 300, shear: 400 } }, wall({ kind: 'steel-stud', gauge: 0.84 }, [{ material: 'gypsum-board', thickness: 12.5 }]))).toMatchObject({ known: true })
  })

  it('of a hollow-wall anchor counts only where the house rule says so', () => {
    const hollow: Fastener = { id: 'h', kind: 'hollow-wall-anchor', base: 'wood-stud', diameter: 8, length: 60, allowable: { tension: 180, shear: 260 } }
    const counts = (hollowWallAnchors?: 'never' | 'supplement' | 'counted') => strengthOf(hollow, exampleJob().walls[0]!, bearerOf(m1), { hollowWallAnchors }).known
    expect([counts(), counts('never'), counts('supplement'), counts('counted')]).toEqual([false, false, false, true])
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
    const names = loads.map(({ case: name }) => name)
    expect(names.filter(name => !isOffCentre(name))).toEqual(['service-hand', 'stowed', 'service'])
    expect([names[0], names.length]).toEqual(['service-hand-edge', 6])
    expect(loads[0]!.utilisation).toBeGreaterThan(0.25)
    // Its display's centre, 2078, is left of the middle of studs 1900 and 2300: the left-hand screws take more.
    expect(new Set(loads.map(({ fastener }) => fastener))).toEqual(new Set(['a1-r1c1-top-1']))
    // A hand sideways pushes screws across the grain, 19 from the stud's edges.
    expect(findings.map(([, code]) => code)).toEqual(['loaded-edge-too-near', 'fastener-much-used'])
  })

  it('is stopped where a fastener is overloaded, and cautioned where it is much used', () => {
    const heavy = (mass: number) => fixed((job) => {
      job.catalogue.displays[0]!.mass = mass
      job.catalogue.mounts[0]!.capacity = 500
    }).findings.map(([severity, code]) => [severity, code]).filter(([, code]) => code !== 'loaded-edge-too-near')
    expect(heavy(5)).toEqual([])
    expect(heavy(30)).toEqual([['caution', 'fastener-much-used']])
    // Its weight alone would do: a hand at the side edge is too much.
    expect(heavy(60)).toEqual([['stop', 'overloaded-by-hand']])
    expect(heavy(100)).toEqual([['stop', 'fastener-overloaded']])
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
      expect(light.size).toBe(7)
      for (const [name, use] of light) expect(heavy.get(name)!, name).toBeGreaterThanOrEqual(use - 1e-12)
    }), { numRuns: cases(40) })
  })

  it('never shows a use that rests on a figure not given, and stops', () => {
    const { loads, findings } = fixed((job) => { delete fastener(job).yield })
    expect(loads.every(({ utilisation }) => utilisation === undefined)).toBe(true)
    const stops = findings.filter(([severity]) => severity === 'stop')
    expect(stops).toEqual([['stop', 'capacity-not-known', 'The capacity of lag is not known: the data sheet of lag gives no bending yield.']])
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
      Object.assign(fastener(job), { kind: 'wedge-anchor', base: 'concrete', length: 65, embedment: 45, head: 9 })
      Object.assign(fastener(job), { allowable: { tension: 3000, shear: 3000 }, steel: { yield: 400, ultimate: 500 } })
      job.walls[0]!.structure = { kind: 'concrete', thickness: 60 }
      job.walls[0]!.covering = [{ material: 'plaster', thickness: 15 }]
    })
    const seats = findings.filter(([, code]) => !/^(fastener-|overloaded)/.test(code!))
    expect(seats.map(([, , message]) => message)).toEqual([
      'The minimum edge distance of lag is not known, so the capacity of lag is not known.', 'lag is 6.5 mm too short: covering, plate and nut take 26.5 mm, embedment takes 45 mm, together 71.5 mm.', 'The wall is 60 mm thick; lag requires at least 67.5 mm.',
    ])
  })
})
