import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { d46, exampleJob, m1 } from '../../tests/fixtures/job'
import type { Fastener, Wall } from '../job'
import { textToString } from '../units'
import {
  bearerOf, governingMode, groupFigures, groupLoads, isOffCentre, lateralStrength, plateLoads, screwUse, shearOf,
  strengthOf, tipOf, withdrawal, woodBearing, yieldModes, type PlateLoad,
} from './index'

const lag: Fastener = {
  id: 'lag',
  kind: 'lag-screw',
  base: 'wood-stud',
  diameter: 9.525,
  root: 6.731,
  length: 76,
  thread: 57,
  yield: 310.264,
}
const spf = { gravity: 0.42, plate: 2.5, plateBearing: 87_000 / 145.0377377, covering: 0, duration: 0.9 }
const weight = (21.5 + 12.3) * 9.80665
const pulled = (arm: number, face?: number, aside = 0): PlateLoad => ({
  case: 'service',
  out: 0,
  pulls: [
    { what: 'weight', down: weight, arm, aside },
    ...(face === undefined ? [] : [{ what: 'hand' as const, down: 250, arm: face, aside }]),
  ],
})
const four = [{ x: -135, y: 420 }, { x: 135, y: 420 }, { x: -135, y: 60 }, { x: 135, y: 60 }]
const held = { centre: { x: 0, y: 250 }, foot: 0, top: 480, left: -260, right: 260 }
const loadsOf = (load: PlateLoad, places = four, by = held) => {
  const loads = groupLoads(load, places, by)
  if (typeof loads === 'string') throw new Error(loads)
  return loads
}

describe('loads on a plate', () => {
  it.each([
    ['stowed', pulled(92), 82.9, [35.6, 35.6, 5.1, 5.1]],
    ['pulled out', pulled(346), 82.9, [133.8, 133.8, 19.1, 19.1]],
    ['with a hand at its face', pulled(346, 380), 145.4, [244.6, 244.6, 34.9, 34.9]],
  ] as const)('as worked, %s', (_, load, shear, tensions) => {
    const loads = loadsOf(load)
    loads.forEach((each, n) => expect(each.tension).toBeCloseTo(tensions[n]!, 1))
    for (const each of loads) expect(shearOf(each)).toMatchObject({ shear: expect.closeTo(shear, 1), angle: 0 })
  })

  it('come from display, mount and what hangs on it; wind both ways from the wall', () => {
    const cases = (change = {}, wall = {}) =>
      plateLoads({ display: d46, mount: { ...m1, ...change }, wall }).filter(({ case: name }) => !isOffCentre(name))
    expect(cases().map(({ case: name, pulls }) => [name, pulls.map(({ arm }) => arm)])).toEqual([
      ['stowed', [92]],
      ['service', [346]],
      ['service-hand', [346, 380]],
    ])
    // A hand also pulls a mount that stays: 30 and half of 68 from the wall, the face 98.
    expect(
      cases({ depth: { stowed: 30, service: 30 } }).map(({ case: name, pulls }) => [name, pulls.map(({ arm }) => arm)]),
    ).toEqual([
      ['stowed', [64]],
      ['stowed-hand', [64, 98]],
    ])
    const wind = cases({}, { windSpeed: 30 }).filter(({ case: name }) => name === 'wind').map(({ out }) => out)
    // 0.613 × 30² × 1.3 × 1.0214 m × 0.5762 m
    expect(wind).toEqual([1, -1].map(way => expect.closeTo(way * 0.613 * 900 * 1.3 * 1.0214 * 0.5762, 6)))
    const [stowed] = plateLoads({
      display: { ...d46, centreOfGravity: { x: 20, y: -30, z: 25 } },
      mount: m1,
      orientation: 'portrait-cw',
      behind: { mass: 1.4 },
      wall: {},
    })
    // Turned clockwise, 30 below the centre comes to lie 30 left of it.
    expect(stowed!.pulls).toEqual([
      { what: 'weight', down: expect.closeTo((21.5 + 12.3 + 1.4) * 9.80665, 9), arm: 58 + 25, aside: -30 },
    ])
  })

  it('of an arm swung to either side, with and without a hand', () => {
    const arm = plateLoads({
      display: d46,
      mount: { ...m1, kind: 'arm', depth: { stowed: 80, service: 560 } },
      wall: {},
    })
    const swung = arm.filter(({ case: name }) => name.startsWith('swung') && !isOffCentre(name))
    expect(swung.map(({ case: name, pulls }) => [name, pulls.map(({ aside }) => aside)])).toEqual([
      ['swung', [560]],
      ['swung-hand', [560, 560]],
      ['swung', [-560]],
      ['swung-hand', [-560, -560]],
    ])
  })

  const places = fc
    .array(fc.record({ x: fc.integer({ min: -300, max: 300 }), y: fc.integer({ min: 1, max: 700 }) }), {
      minLength: 2,
      maxLength: 7,
    })
    .filter(found => found.some(({ x, y }) => x !== found[0]!.x || y !== found[0]!.y))
  it('balance: forces and moments of all fasteners together are those of the load', () => {
    fc.assert(
      fc.property(
        places,
        fc.integer({ min: -200, max: 200 }),
        fc.integer({ min: 20, max: 900 }),
        (places, centre, arm) => {
          const load = pulled(arm, arm + 40)
          const loads = loadsOf(load, places, { ...held, centre: { x: centre, y: 300 } })
          const sum = (each: (load: (typeof loads)[0], n: number) => number) =>
            loads.reduce((total, load, n) => total + each(load, n), 0)
          expect(sum(({ down }) => down)).toBeCloseTo(weight + 250, 6)
          expect(sum(({ across }) => across)).toBeCloseTo(0, 6)
          // About the display's centre: clockwise as the load's own moment is none there.
          expect(
            sum(({ down, across }, n) => down * (places[n]!.x - centre) + across * (places[n]!.y - 300)),
          ).toBeCloseTo(0, 3)
          expect(sum(({ tension }, n) => tension * places[n]!.y)).toBeCloseTo(weight * arm + 250 * (arm + 40), 3)
        },
      ),
    )
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
    expect(shear.working.map(({ expression }) => textToString(expression, 'metric'))[1]).toBe(
      'weight 331.5 N × 40 mm from the centre of the fasteners',
    )
    // The same sum in pounds and inches: 331.5 N are 74.5 lbf, 40 mm are 1.57 in.
    expect(textToString(shear.working[1]!.expression, 'imperial')).toBe(
      'weight 74.5 lbf × 1.57 in from the centre of the fasteners',
    )
  })

  it('are none that fasteners at the foot, or a single one beside the centre, could hold', () => {
    expect(groupLoads(pulled(92), [{ x: 0, y: 0 }, { x: 50, y: 0 }], held)).toBe('none-above-foot')
    expect(groupLoads(pulled(92), [{ x: 30, y: 200 }], held)).toBe('free-to-turn')
    expect(groupLoads(pulled(92), [{ x: 0, y: 200 }], held)).toHaveLength(1)
  })

  it('by wind grow with it, away from the wall; towards it they do nothing to a plate as large as that', () => {
    const top = (out: number, by = held) =>
      Math.max(...loadsOf({ ...pulled(92), out }, four, by).map(({ tension }) => tension))
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
    expect(lateralStrength(lag, { ...spf, covering: 12.5, coveringIsGap: false }, 0, 57)).toBe(
      lateralStrength(lag, spf, 0, 57),
    )
  })

  it('fails by mode III in the wood in the worked case, and its modes obey their own equations', () => {
    const dowel = { side: 23_055, main: 1246.6, sideLength: 0.0984, mainLength: 2.244, gap: 0, moment: 139.57 }
    expect(governingMode(dowel, 0.265)).toMatchObject({ mode: 'IIIs', reduction: 3.2 })
    expect(governingMode(dowel, 0.265, 1.25)).toMatchObject({ mode: 'IIIs', reduction: 4 })
    expect(governingMode(dowel, 0.16).reduction).toBe(2.2)
    expect(governingMode(dowel, 0.2).reduction).toBe(2.5)
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        (gap, mainLength) => {
          const { IV, II } = yieldModes({ ...dowel, gap, mainLength })
          const { side: s, main: m, sideLength, moment } = dowel
          expect((1 / (2 * s) + 1 / (2 * m)) * IV ** 2 + gap * IV - 2 * moment).toBeCloseTo(0, 5)
          expect(
            (1 / (4 * s) + 1 / (4 * m)) * II ** 2
            + (sideLength / 2 + gap + mainLength / 2) * II
            - (s * sideLength ** 2) / 4
            - (m * mainLength ** 2) / 4,
          ).toBeCloseTo(0, 4)
        },
      ),
    )
  })

  it('bears least across the grain, and less through a thicker covering, in the wet and for longer', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 89 }), fc.integer({ min: 0, max: 59 }), (angle, gap) => {
      const at = (a: number, covering: number, change = {}) =>
        lateralStrength(lag, { ...spf, covering, ...change }, a, 40)!
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
    fc.assert(
      fc.property(
        load,
        load,
        fc.double({ min: 0, max: 1000, noNaN: true }),
        fc.double({ min: 100, max: 4000, noNaN: true }),
        fc.double({ min: 50, max: 1500, noNaN: true }),
        (t, v, more, W, Z) => {
          expect(screwUse(t + more, v, W, Z)).toBeGreaterThanOrEqual(screwUse(t, v, W, Z) - 1e-9)
          expect(screwUse(t, v + more, W, Z)).toBeGreaterThanOrEqual(screwUse(t, v, W, Z) - 1e-9)
        },
      ),
    )
    expect(screwUse(0, 0, 2109, 369)).toBe(0)
  })
})

describe('what a fastener bears elsewhere', () => {
  const wall = (structure: Wall['structure'], covering: Wall['covering'] = []) => ({
    ...exampleJob().walls[0]!,
    structure,
    covering,
  })
  const screw: Fastener = { id: 's', kind: 'self-drilling', base: 'steel-stud', diameter: 5.5, length: 50 }
  const known = (fastener: Fastener, wall: Wall) => strengthOf(fastener, wall, bearerOf(m1), { rules: {} })
  it('in sheet steel follows pull-out and bearing in contact, and is not known through a covering', () => {
    const bare = known(screw, wall({ kind: 'steel-stud', gauge: 0.84 }))
    if (!bare.known) throw new Error('not known')
    expect(bare.strength.tension).toBeCloseTo((0.85 * 0.84 * 5.5 * 310) / 3, 9)
    expect(bare.strength.shear(0)).toBeCloseTo(
      (Math.min(4.2 * Math.sqrt(0.84 ** 3 * 5.5), 2.7 * 0.84 * 5.5) * 310) / 3,
      9,
    )
    expect(bare.strength.use(bare.strength.tension, 0, 0)).toBeCloseTo(1, 12)
    expect(known(screw, wall({ kind: 'steel-stud' }))).toMatchObject({ known: false })
    expect(
      known(screw, wall({ kind: 'steel-stud', gauge: 0.84 }, [{ material: 'gypsum-board', thickness: 12.5 }])),
    ).toMatchObject({ known: false })
    expect(
      known(
        { ...screw, allowable: { tension: 300, shear: 400 } },
        wall({ kind: 'steel-stud', gauge: 0.84 }, [{ material: 'gypsum-board', thickness: 12.5 }]),
      ),
    ).toMatchObject({ known: true })
  })

  it('of a hollow-wall anchor counts only where the house rule says so', () => {
    const hollow: Fastener = {
      id: 'h',
      kind: 'hollow-wall-anchor',
      base: 'wood-stud',
      diameter: 8,
      length: 60,
      allowable: { tension: 180, shear: 260 },
    }
    const counts = (hollowWallAnchors?: 'never' | 'supplement' | 'counted') =>
      strengthOf(hollow, exampleJob().walls[0]!, bearerOf(m1), { rules: { hollowWallAnchors } }).known
    expect([counts(), counts('never'), counts('supplement'), counts('counted')]).toEqual([false, false, false, true])
  })
})
