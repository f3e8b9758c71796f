import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { cases } from '../../tests/fixtures/soak'
import type { Display, Job, Mount } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'
import { groupLoads, shearOf, type Held, type PlateLoad } from './index'
import { isHollow, standOffOf } from '../job'

function planned(change: (job: Job) => void) {
  const job = exampleJob()
  change(job)
  const { arrays, findings } = planWall(job.walls[0]!, job)
  const said = findings.map(({ severity, code }) => `${severity} ${code}`)
  const { loads, plate, holes } = arrays[0]!.positions[0]!
  return { use: loads!, said, findings, held: plate!.held, hole: holes![0] }
}
const useOf = ({ use }: ReturnType<typeof planned>, name = '') =>
  Math.max(...use.filter(load => load.case.includes(name)).map(({ utilisation }) => utilisation!))

describe('a hand on a screen', () => {
  const place = fc.record({ x: fc.integer({ min: -250, max: 250 }), y: fc.integer({ min: 20, max: 460 }) })
  const places = fc.uniqueArray(place, { minLength: 2, maxLength: 6, selector: ({ x, y }) => `${x} ${y}` })
  const held: Held = { centre: { x: 20, y: 240 }, foot: 0, top: 480, left: -260, right: 260 }
  const [half, force] = [510, 250]

  it('pulls nowhere on the outline harder than at the points that are worked out', () => {
    const worst = (
      loads: PlateLoad[],
      of: (load: { tension: number, shear: number }) => number,
      at: { x: number, y: number }[],
    ) =>
      Math.max(
        ...loads.flatMap(load =>
          (groupLoads(load, at, held) as { tension: number, across: number, down: number }[]).map(each =>
            of({ tension: each.tension, shear: shearOf(each).shear }),
          ),
        ),
      )
    const weight = { what: 'weight' as const, down: 330, arm: 346, aside: 0 }
    const down = (aside: number): PlateLoad => ({
      case: 'service-hand-edge',
      out: 0,
      pulls: [weight, { what: 'hand', down: force, arm: 380, aside }],
    })
    const sideways = (up: number, side: number): PlateLoad => ({
      case: 'service-hand-side',
      out: 0,
      pulls: [weight],
      push: { out: 0, side, arm: 380, aside: 0, up, pries: false },
    })
    fc.assert(
      fc.property(places, fc.double({ min: -1, max: 1, noNaN: true }), (at, share) => {
        const shear = (loads: PlateLoad[]) => worst(loads, load => load.shear, at)
        expect(shear([down(share * half)])).toBeLessThanOrEqual(shear([down(half), down(-half)]) + 1e-9)
        const corners = [288, -288].flatMap(up => [force, -force].map(side => sideways(up, side)))
        expect(shear([sideways(288 * share, force)])).toBeLessThanOrEqual(shear(corners) + 1e-9)
      }),
      { numRuns: cases(100) },
    )
  })
})

describe('the force of a hand', () => {
  it('is the firm’s, or the wall’s own with a reason; none only where no hand reaches', () => {
    const at = (handForce?: number, handForceReason?: string, y = 1650) =>
      planned((job) => {
        Object.assign(job.walls[0]!, {
          ...(handForce !== undefined && { handForce }),
          ...(handForceReason && { handForceReason }),
        })
        job.walls[0]!.height = 6_000
        job.walls[0]!.arrays[0]!.at.y.value = y
      })
    expect(useOf(at(100, 'Behind a rail'), 'hand')).toBeLessThan(useOf(at(), 'hand'))
    expect(at(100).said).toContain('stop hand-load-without-reason')
    expect(at(100, 'Behind a rail').said).toContain('caution hand-load-reduced')
    expect(at(0, 'Out of reach').said).toContain('stop hand-load-within-reach')
    const high = at(0, 'Out of reach', 3_200)
    expect([high.said.filter(code => code.includes('hand-load')), high.use.map(load => load.case)]).toEqual([
      ['caution hand-load-reduced'],
      ['stowed', 'service'],
    ])
    const firm = (handForce: number) => planned((job) => { job.rules = { handForce } })
    expect(useOf(firm(400))).toBeGreaterThan(useOf(at()))
    // A firm that counts no hand anywhere is told so where one reaches.
    expect(firm(0).said).toContain('stop hand-load-within-reach')
  })

  it('is no more than what the maker asks of the wall, where that is more', () => {
    const { use } = planned((job) => {
      job.catalogue.mounts[0]!.mustCarry = 5
    })
    const [maker, service] = ['maker', 'service'].map(name => use.find(load => load.case === name)!)
    // Five times the display, without the mount.
    expect(maker!.tension / service!.tension).toBeCloseTo((5 * 21.5) / (21.5 + 12.3), 9)
  })
})

const inBlock = (change: (job: Job) => void = () => {}) =>
  planned((job) => {
    const [wall] = job.walls
    wall!.structure = { kind: 'concrete', thickness: 200, strength: 28 }
    wall!.covering = [
      { material: 'furring', thickness: 25 },
      { material: 'gypsum-board', thickness: 12.5 },
    ]
    job.catalogue.fasteners = [
      {
        id: 'lag',
        kind: 'sleeve-anchor',
        base: 'concrete',
        diameter: 10,
        length: 250,
        embedment: 60,
        head: 9,
        edgeDistance: 60,
        washer: 20,
        allowable: { tension: 6_000, shear: 6_000 },
        steel: { yield: 640, ultimate: 800 },
        torque: 20,
      },
    ]
    change(job)
  })

describe('an anchor through board and batten', () => {
  it('is bent the more the farther it stands off, whatever lies there', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 80 }), fc.integer({ min: 0, max: 100 }), (thickness, more) => {
        const through = (mm: number) =>
          useOf(
            inBlock((job) => {
              job.walls[0]!.covering = [{ material: 'gypsum-board', thickness: mm }]
            }),
          )
        expect(through(thickness + more)).toBeGreaterThanOrEqual(through(thickness) - 1e-12)
      }),
      { numRuns: cases(15) },
    )
    expect(useOf(inBlock())).toBeGreaterThan(
      2
      * useOf(
        inBlock((job) => {
          job.walls[0]!.covering = []
        }),
      ),
    )
  })

  it('bears as on the base with packers under it, and less than half as much on a plate that can rotate', () => {
    const packed = (job: Job) => {
      job.walls[0]!.arrays[0]!.packers = true
    }
    expect(useOf(inBlock(packed))).toBeCloseTo(
      useOf(
        inBlock((job) => {
          job.walls[0]!.covering = []
        }),
      ),
      9,
    )
    expect(inBlock().said).toContain('caution torque-crushes-board')
    expect(inBlock(packed).said).not.toContain('caution torque-crushes-board')
    expect(
      useOf(
        inBlock((job) => {
          job.catalogue.mounts[0]!.rigid = true
        }),
      ),
    ).toBeLessThan(useOf(inBlock()))
  })
})

describe('an anchor through board and batten, its steel and its sheets', () => {
  it('of a steel that is not known has no capacity, and packers are the cure that is told', () => {
    const { findings } = inBlock((job) => {
      delete job.catalogue.fasteners[0]!.steel
    })
    const [stop] = findings.filter(({ code }) => code === 'capacity-not-known')
    expect(textToString(stop!.message, 'metric')).toMatch(/stands off its base by 37\.5 mm.*packers or spacer sleeves/)
    expect(
      inBlock((job) => {
        Object.assign(job.catalogue.fasteners[0]!, { steel: undefined, bending: 20 })
      }).said,
    ).not.toContain('stop capacity-not-known')
  })

  it('does not stand off over sheets that are fixed to the structure', () => {
    const sheet = (backing?: boolean) => ({
      covering: [
        { material: 'plywood', thickness: 18, ...(backing && { backing }) },
        { material: 'gypsum-board', thickness: 12.5 },
      ],
    })
    expect([standOffOf(sheet()), standOffOf(sheet(true)), isHollow(sheet())]).toEqual([30.5, 12.5, false])
  })
})

const widened = (diameter: number) => ({ plate }: Mount) => {
  for (const slot of plate.slots) slot.diameter = diameter
}
const MISFITS: [what: string, code: string, change: (mount: Mount, display: Display) => void][] = [
  ['a slot too narrow', 'stop fastener-does-not-pass-slot', widened(5)],
  ['a slot 0.3 wider', 'stop fastener-does-not-pass-slot', widened(9.825)],
  ['a slot too wide for the washer', 'stop washer-does-not-cover-slot', widened(18)],
  ['a pattern that the mount does not take', 'stop pattern-does-not-fit', (_, { vesa }) => { vesa.width = 800 }],
  ['a pattern beyond the ranges of a mount', 'stop pattern-does-not-fit', (mount) => {
    mount.patterns = { width: { min: 100, max: 399 }, height: { min: 100, max: 400 } }
  }],
  ['a fastener thicker than the mount takes', 'stop fastener-over-mounts-limit', (mount) => { mount.maxFastener = 8 }],
  ['no figure for it', 'caution fit-not-known', (mount) => { delete mount.patterns }],
  ['a slot that the firm drills', 'caution slot-drilled', ({ plate }) => { plate.slots[0]!.drilled = true }],
]

describe('parts', () => {
  it.each(MISFITS)('that do not fit: %s', (_, code, change) => {
    const { said, held } = planned(({ catalogue: { mounts, displays } }) => change(mounts[0]!, displays[0]!))
    expect(said).toContain(code)
    expect(held).toBe(true)
  })

  it('that fit are not said', () =>
    expect(planned(() => {}).said.filter(code => /slot|washer|pattern|limit|fit/.test(code))).toEqual([]))
})

describe('a hole whose bit is not known', () => {
  const inConcrete = (change: Partial<Job['catalogue']['fasteners'][0]>) => planned((job) => {
    job.walls[0]!.structure = { kind: 'concrete', thickness: 200 }
    Object.assign(job.catalogue.fasteners[0]!, {
      kind: 'screw-anchor', base: 'concrete', diameter: 6.35, embedment: 45, edgeDistance: 40,
      allowable: { tension: 3e3, shear: 3e3 }, steel: { yield: 640, ultimate: 800 }, ...change,
    })
  })
  it('is a stop that nobody overrides; the maker’s hole is what is drilled', () => {
    expect(inConcrete({}).findings.find(({ code }) => code === 'hole-not-known')).toMatchObject({ never: true })
    const named = inConcrete({ hole: { diameter: 4.7625, depth: 55 } })
    expect(named.said).not.toContain('stop hole-not-known')
    // Through 12.5 of board.
    expect(named.hole).toMatchObject({ bit: 4.7625, depth: 68 })
    // A wedge anchor is set in a hole of its own diameter.
    expect(inConcrete({ kind: 'wedge-anchor' }).said).not.toContain('stop hole-not-known')
  })
})

describe('studs of steel', () => {
  const inSteel = (gauge: number | undefined, fastener: object) =>
    planned((job) => {
      job.walls[0]!.structure = { ...job.walls[0]!.structure, kind: 'steel-stud', gauge }
      Object.assign(job.catalogue.fasteners[0]!, {
        base: 'steel-stud',
        allowable: { tension: 500, shear: 500 },
        ...fastener,
      })
    }).said
  const toggle = { kind: 'toggle', hole: { diameter: 13, depth: 60 } }
  it('thinner than 22 gauge carry nothing; a toggle holds in what it was tested in', () => {
    // Of studs that nobody measured nothing is known.
    expect(inSteel(undefined, { ...toggle, gauge: 0.9 })).toContain('stop gauge-not-known')
    expect(inSteel(0.46, { kind: 'self-drilling' })).toContain('stop steel-stud-too-thin')
    expect(inSteel(0.46, toggle)).toContain('stop steel-stud-too-thin')
    expect(inSteel(0.84, toggle)).toContain('stop gauge-not-known')
    expect(inSteel(0.84, { ...toggle, gauge: 0.9 })).toContain('stop steel-thinner-than-tested')
    expect(inSteel(0.9, { ...toggle, gauge: 0.9 }).filter(code => /gauge|thin|hole-not/.test(code))).toEqual([])
    // A toggle's depth counts from the face: the hole goes through to the cavity.
    expect(inSteel(0.9, { kind: 'toggle', gauge: 0.9 })).toContain('stop hole-not-known')
  })
})
