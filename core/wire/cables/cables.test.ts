import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ownCircuits, SCREENS, wiredWall } from '../../../tests/fixtures/wired'
import type { CableModel } from '../../job'
import { textToString } from '../../units'
import { boreFor, filled, guardPlates } from '../routes/bore'
import { chooseCable, isCord } from './choose'
import { cableTypeOf, LINK_KINDS } from './linkKinds'
import { scheduleOf } from '../print/schedule'
import { slackOf } from './slack'

const cable = (id: string, kind: string, change: Partial<CableModel> = {}): CableModel => ({
  id,
  kind,
  diameter: 7,
  lengths: [1000, 2000, 3000, 5000, 10_000],
  inWall: true,
  ...change,
})
const CABLES = [
  cable('p25', 'power', { diameter: 10, lengths: [25_000, 50_000], amps: 20, area: 2.5 }),
  cable('cord', 'cord', { plug: { width: 26, height: 20 }, inWall: false }),
  cable('hd', 'picture', { diameter: 7.3, plug: { width: 21, height: 11 }, farthest: 5000 }),
  cable('fibre', 'picture', {
    diameter: 5,
    plug: { width: 21, height: 11 },
    lengths: [10_000, 20_000, 30_000],
    farthest: 50_000,
    plenum: true,
  }),
  cable('loop', 'loop', { plug: { width: 20, height: 9 }, lengths: [1000, 2000] }),
  cable('data', 'data', { diameter: 6, lengths: [50_000], farthest: 90_000 }),
]

/** The example wall with a pass-through beside each power box, and a player 4 m away. */
const wired = (change: Parameters<typeof wiredWall>[1] = () => {}) => wiredWall(CABLES, (wall, job) => {
  ownCircuits(wall)
  wall.rules = { signalBesidePower: 'apart-in-one-bay' }
  wall.sources!.push({ id: 'pl', kind: 'player', away: 4000 })
  wall.boxes!.push(
    ...SCREENS.map(at => ({ id: `g-${at}`, kind: 'pass-through' as const, model: 'g1', for: [`a1-${at}`] })),
  )
  change(wall, job)
})
const of = ({ cables }: ReturnType<typeof wired>, id: string) => cables.find(each => each.id === id)!

describe('a hole', () => {
  it.each<[string, [number, { width: number, height: number }?][], number]>([
    ['one of 8.6: 8.6 ÷ √0.53 = 11.8, and 20 at the least', [[8.6]], 20],
    ['two of 8.6: √(2 · 8.6² ÷ 0.31) = 21.84', [[8.6], [8.6]], 22],
    ['three of 9.8: √(3 · 9.8² ÷ 0.40) = 26.8', [[9.8], [9.8], [9.8]], 28],
    ['one with a plug of 21 × 11: 21 + 4', [[7.3, { width: 21, height: 11 }]], 25],
    ['one with a plug of 26 × 20: its diagonal of 32.8 is more than 26 + 4', [[7.2, { width: 26, height: 20 }]], 35],
  ])('for %s', (_, cables, bit) =>
    expect(boreFor(cables.map(([diameter, plug]) => ({ diameter, ...(plug && { plug }) })))).toBe(bit),
  )

  it('that no bit makes is none, and nothing fills nothing', () =>
    expect([boreFor([{ diameter: 100 }]), filled([])]).toEqual([Number.NaN, 0]))

  it('through a stud’s centre requires steel plates below 32: 89 − 20 leaves 34.5, 89 − 28 leaves 30.5', () => {
    expect([guardPlates(89, 20), guardPlates(89, 28), guardPlates(84, 20), guardPlates(83.9, 20)]).toEqual([0, 2, 0, 2])
  })
})

describe('the slack of a pull-out', () => {
  it('is what it comes out and two quarter bends of four diameters: 312 − 58 + π · 29.2', () => {
    expect(slackOf({ stowed: 58, service: 312 }, 7.3).value).toBeCloseTo(254 + 91.735, 3)
    expect(slackOf({ stowed: 24, service: 24 }, 7.3).value).toBe(0)
    expect(slackOf({}, 7.3).value).toBe(0)
  })

  it('never leaves a cable shorter than its path at full extension', () => {
    const plan = wired()
    for (const { id, screen, needed, route } of plan.cables) {
      const position = plan.plan.arrays[0]!.positions.find(each => each.id === screen)!
      const box = plan.boxes.find(
        each => each.for.includes(screen) && (each.kind === 'power') === id.startsWith('cord'),
      )!
      if (id.startsWith('power')) continue
      // To any corner of the case, 312 out of the wall: straight, which nothing can be shorter than, with the bends'
      // quarter rounds.
      const [x, y] = [position.outer.x, position.outer.y]
      for (const [cx, cy] of [
        [x, y],
        [x + position.outer.width, y],
        [x, y + position.outer.height],
        [x + position.outer.width, y + position.outer.height],
      ] as const) {
        const way = plan.routes.find(each => each.id === route)?.length ?? 0
        expect(needed.value).toBeGreaterThan(way + Math.hypot(cx - box.x, cy - box.y, 312))
      }
    }
  })
})

describe('a cable’s length', () => {
  it('to a box is its way, what is beyond the wall, and what is free at both ends; cut from the reel that holds it', () => {
    const plan = wired()
    const each = of(plan, 'power-b-r1c1')
    // 3300 down to the box, 8 m to the panel, 150 in the box (NEC 300.14), 500 at the panel.
    expect(each.needed.value).toBeCloseTo(3300 - plan.boxes[0]!.y + 8000 + 650, 9)
    expect([each.taken, each.model!.id, each.slack]).toEqual([25_000, 'p25', 0])
    expect(each.offcut).toBeCloseTo(25_000 - each.needed.value, 9)
  })

  it('from a player beyond what a kind carries takes the one that reaches, and says so', () => {
    const plan = wired()
    const each = of(plan, 'picture-a1-r2c1')
    expect([each.model!.id, each.choice.tooShort!.id, each.taken]).toEqual(['fibre', 'hd', 10_000])
    expect(plan.plan.findings.find(({ code }) => code === 'farther-kind')).toBeDefined()
    expect(each.needed.value).toBeGreaterThan(5000)
  })

  it('is not known, nor taken, where nobody measured what is beyond the wall', () => {
    const plan = wired((wall) => {
      for (const source of wall.sources!) if (source.kind === 'circuit') delete source.away
    })
    expect([of(plan, 'power-b-r1c1').taken, of(plan, 'power-b-r1c1').unknown]).toEqual([
      undefined,
      'the distance from circuit s1 to where its cable enters',
    ])
    expect(plan.said).toContainEqual({
      severity: 'caution',
      code: 'cable-length-not-known',
      message: expect.stringMatching(
        /^The distance from circuit s1 to where its cable enters is not known.* box b-r1c1\./,
      ),
      remedy: 'Measure it and enter it in Wire.',
    })
    expect(scheduleOf(plan).find(({ id }) => id === 'power-b-r1c1')).toMatchObject({
      open: expect.stringContaining('not known'),
    })
  })

  it('from another source to the same plate goes its own way', () => {
    const plan = wired((wall) => { wall.sources!.push({ id: 'n', kind: 'network', feature: 'o1' }) })
    const [picture, data] = [of(plan, 'picture-a1-r1c1'), of(plan, 'data-a1-r1c1')]
    const way = (id: string | undefined) => plan.routes.find(route => route.id === id)!
    expect([picture.route, data.route]).toEqual(['to-g-r1c1', 'to-g-r1c1-from-n'])
    expect([way(picture.route).from, way(data.route).from, way(data.route).path[0]!.x]).toEqual(['pl', 'n', 3058])
    expect(data.needed.value).toBeGreaterThan(way(data.route).length)
  })

  it('in a chain is the pitch of like screens, slack at both, and 200 at either socket', () => {
    const plan = wired((wall) => { Object.assign(wall.sources!.at(-1)!, { by: 'chain' }) })
    const hop = plan.cables.find(({ kind, port }) => kind === 'loop' && port === undefined)!
    // Rows are 576.8 apart: column by column the longest hop is 1022.0 + …, from the foot of one to the foot of the
    // next.
    expect(
      [576.8, 1022].some(pitch => Math.abs(hop.needed.value - (pitch + 2 * (254 + Math.PI * 28) + 400)) < 1e-6),
    ).toBe(true)
    expect(hop.slack).toBeCloseTo(2 * (254 + Math.PI * 28), 6)
  })

  it('is taken from what the source is plugged in with, where no lead made for chains is long enough', () => {
    const plan = wired((wall, job) => {
      Object.assign(wall.sources!.at(-1)!, { by: 'chain' })
      job.catalogue.cables!.find(({ id }) => id === 'loop')!.lengths = [500]
    })
    expect(plan.cables.filter(({ kind }) => kind === 'loop').every(({ model }) => model?.kind === 'picture')).toBe(true)
  })
})

describe('what a cable may do', () => {
  type Wanted = Partial<Omit<Parameters<typeof chooseCable>[0], 'needed'>> & { needed?: number }
  const fault = ({ needed = 2000, ...duty }: Wanted, byHand?: string, cables = CABLES) => {
    const { fault: found } = chooseCable(
      { kind: 'picture', needed: () => needed, inWall: true, plenum: false, ...duty }, cables, byHand)
    return found && [found.code, textToString(found.message, 'metric'), textToString(found.remedy, 'metric')]
  }
  it.each<[string, Parameters<typeof fault>, string, RegExp]>([
    ['a flexible cord in a wall is a stop', [{ kind: 'power' }, 'cord'], 'cord-in-wall', /NEC 400\.12/],
    [
      'what is not rated for a wall is one',
      [{}, undefined, [cable('open', 'picture', { inWall: false })]],
      'cable-not-in-wall',
      /no picture cable is in-wall rated/,
    ],
    [
      'so is what is not rated for a void that carries air',
      [{ plenum: true, kind: 'data' }],
      'cable-not-plenum',
      /plenum/,
    ],
    ['so is what is too thin for its breaker', [{ kind: 'power', amps: 32 }], 'cable-too-thin', /32 A breaker/],
    ['so is a power cable without a rating', [{ kind: 'power', amps: 16 }, undefined, [cable('bare', 'power')]],
      'cable-rating-not-known', /max breaker rating of bare is not known/],
    ['so is one whose conductors the rules do not allow behind the breaker',
      [{ kind: 'power', amps: 20, least: { area: 3.31, source: 'NEC 240.4(D)' } }],
      'cable-too-thin', /at least 3\.31 sq mm \(NEC 240\.4\(D\)\), and p25 has less/],
    ['so is a model that is not in the catalogue', [{}, 'lost'], 'cable-model-not-known', /no cable model lost/],
    ['so is what is stocked too short', [{ needed: 35_000 }], 'cable-too-short', /35000 mm .*fibre.* 30000 mm/],
    [
      'so is what carries too little, and the next kind that reaches is named',
      [{ needed: 60_000 }],
      'cable-too-far',
      /60000 mm .*hd, fibre.* 50000 mm.*data \(data\).* 90000 mm/,
    ],
    ['a kind that the catalogue does not have is told', [{ kind: 'touch' }], 'cable-unknown', /has no touch cable/],
  ])('%s', (_, given, code, words) => {
    expect(fault(...given)![0]).toBe(code)
    expect(
      fault(...given)!
        .slice(1)
        .join(' '),
    ).toMatch(words)
  })

  it('goes no farther than what it carries does, and an extender asks for its ends', () => {
    const usb = [cable('u', 'usb', { lengths: [2_000, 4_000, 8_000] })]
    const choose = (id: keyof typeof LINK_KINDS, needed: number, models: CableModel[]) => chooseCable({
      kind: cableTypeOf(id), needed: () => needed, inWall: false, plenum: false, link: LINK_KINDS[id]!,
    }, models)
    expect(choose('usb-2', 3_500, usb)).toMatchObject({ taken: 4_000 })
    expect(choose('usb-3', 3_500, usb).fault).toMatchObject({ code: 'cable-too-far' })
    const data = [cable('d', 'data', { lengths: [150_000] }), cable('patch', 'data', { farthest: 10_000 })]
    expect(choose('picture-extender', 99_000, data).model?.id).toBe('d')
    expect(textToString(choose('picture-extender', 101_000, data).fault!.message, 'metric')).toContain(
      'is longer than picture over data cable (usual for such pairs; the maker’s figure decides) allows')
    const { cables, said } = wired((wall) => {
      Object.assign(wall.sources!.find(({ kind }) => kind === 'player')!, { carries: 'picture-extender' })
    })
    const links = cables.filter(({ ends }) => ends)
    expect([links.length, new Set(links.map(({ kind }) => kind))]).toEqual([6, new Set(['data'])])
    expect(said.find(({ code }) => code === 'link-ends')!.message).toContain(
      '6 links require a transmitter and receiver each')
  })

  it('of those that do the one that leaves the least over is taken', () => {
    const bends = fc.constantFrom(0, 4 * Math.PI, 8 * Math.PI)
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40_000 }),
        bends,
        fc.boolean(),
        fc.boolean(),
        (base, bend, inWall, plenum) => {
          const needed = ({ diameter }: { diameter: number }) => base + bend * diameter
          const { model, taken } = chooseCable({ kind: 'picture', needed, inWall, plenum }, CABLES)
          const over = CABLES.filter(({ kind }) => kind === 'picture')
            .filter(each => (!inWall || each.inWall) && (!plenum || each.plenum) && each.farthest! >= needed(each))
            .flatMap(each => each.lengths.map(length => length - needed(each)))
            .filter(left => left >= 0)
          expect(model === undefined).toBe(over.length === 0)
          if (model) expect([model.lengths.includes(taken!), taken! - needed(model)]).toEqual([true, Math.min(...over)])
        },
      ),
    )
    expect([isCord('power-cord'), isCord('power')]).toEqual([true, false])
  })

  it('is as long as its own bend asks, and so the thinner of two is taken where the thicker would not do', () => {
    const models = [['thick', 10], ['thin', 5]] as const
    const stocked = models.map(([id, diameter]) => cable(id, 'picture', { diameter, lengths: [5_000] }))
    const choose = (base: number) => chooseCable({
      kind: 'picture', needed: ({ diameter }) => base + 4 * Math.PI * diameter, inWall: false, plenum: false,
    }, stocked)
    // 4π × 10 = 125.7 and 4π × 5 = 62.8: the thick one leaves less over, until its bend no longer fits.
    expect(choose(4_870)).toMatchObject({ model: { id: 'thick' }, taken: 5_000 })
    expect(choose(4_900)).toMatchObject({ model: { id: 'thin' }, taken: 5_000 })
    expect(choose(4_990)).toMatchObject({ judged: { id: 'thin' }, fault: { code: 'cable-too-short' } })
  })

  it('is shown where a person chose a cord for a box in the wall', () => {
    expect(
      wired((wall) => {
        wall.boxes![0]!.cable = 'cord'
      }).said,
    ).toContainEqual(
      expect.objectContaining({
        severity: 'stop',
        code: 'cord-in-wall',
        message: 'Power to box b-r1c1: a flexible cord must not run inside a wall (NEC 400.12).',
      }),
    )
  })
})
