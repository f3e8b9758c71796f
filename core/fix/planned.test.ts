import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import type { Job } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'
import { isOffCentre } from './index'
import { cases } from '../../tests/fixtures/soak'

describe('the plan of a wall', () => {
  const fixed = (change: (job: Job) => void = () => {}) => {
    const job = exampleJob()
    change(job)
    const { arrays, findings } = planWall(job.walls[0]!, job)
    return {
      loads: arrays[0]!.positions[0]!.loads!,
      findings: findings
        .filter(({ stage }) => stage === 'fix')
        .map(({ severity, code, message }) => [severity, code, textToString(message, 'metric')]),
    }
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
    fc.assert(
      fc.property(
        mass,
        mass,
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 1, max: 45 }),
        (a, b, thickness, windSpeed) => {
          const uses = (kilograms: number) =>
            new Map(
              fixed((job) => {
                job.catalogue.displays[0]!.mass = kilograms
                job.catalogue.mounts[0]!.capacity = 500
                Object.assign(job.walls[0]!, {
                  windSpeed,
                  covering: thickness > 0 ? [{ material: 'gypsum-board', thickness }] : [],
                })
              }).loads.map(load => [load.case, load.utilisation!]),
            )
          const [light, heavy] = [uses(Math.min(a, b)), uses(Math.max(a, b))]
          expect(light.size).toBe(7)
          for (const [name, use] of light) expect(heavy.get(name)!, name).toBeGreaterThanOrEqual(use - 1e-12)
        },
      ),
      { numRuns: cases(40) },
    )
  })

  it('never shows a use that rests on a figure not given, and stops', () => {
    const { loads, findings } = fixed((job) => { delete fastener(job).yield })
    expect(loads.every(({ utilisation }) => utilisation === undefined)).toBe(true)
    const stops = findings.filter(([severity]) => severity === 'stop')
    expect(stops).toEqual([
      ['stop', 'capacity-not-known', 'The capacity of lag is not known: the data sheet of lag gives no bending yield.'],
    ])
  })

  it('counts the covering as a gap unless the house rule says otherwise', () => {
    const use = (coveringCountsAsGap?: boolean) =>
      fixed((job) => {
        job.rules = { coveringCountsAsGap }
      }).loads[0]!.utilisation!
    expect(use()).toBe(use(true))
    expect(use(false)).toBeLessThan(use(true))
  })

  it.each([
    [
      'of another base',
      (job: Job) => {
        fastener(job).base = 'concrete'
      },
      'fastener-of-another-base',
    ],
    [
      'that is hardly in the wood',
      (job: Job) => {
        Object.assign(fastener(job), { length: 50 })
      },
      'penetration-too-small',
    ],
    [
      'into the display that is too long',
      (job: Job) => {
        job.walls[0]!.arrays[0]!.screw = 16
      },
      'display-screw-too-long',
    ],
    [
      'into the display that is too short',
      (job: Job) => {
        job.walls[0]!.arrays[0]!.screw = 10
      },
      'display-screw-too-short',
    ],
    [
      'into a display that says nothing of its inserts',
      (job: Job) => {
        delete job.catalogue.displays[0]!.vesa.insertDepth
      },
      'display-screw-not-known',
    ],
    [
      'that no kit has',
      (job: Job) => {
        job.catalogue.screwKits = []
      },
      'display-screw-to-buy',
    ],
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
      'The minimum edge distance of lag is not known, so the capacity of lag is not known.',
      'lag is 6.5 mm too short: covering, plate and nut take 26.5 mm, embedment takes 45 mm, together 71.5 mm.',
      'The wall is 60 mm thick; lag requires at least 67.5 mm.',
    ])
  })
})
