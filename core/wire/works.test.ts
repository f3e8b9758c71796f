import { describe, expect, it } from 'vitest'
import { ownCircuits, SCREENS, wiredWall } from '../../tests/fixtures/wired'
import { tableOf } from '../mark/sheet'
import type { CableModel, Wall } from '../job'
import { carriedTo, missesBay } from './routes/carriedBay'

const CABLES: CableModel[] = [
  { id: 'p25', kind: 'power', diameter: 10, lengths: [25_000], inWall: true, amps: 20, area: 2.5 },
  { id: 'cord', kind: 'cord', diameter: 7, lengths: [1000, 2000, 3000] },
  {
    id: 'hd',
    kind: 'picture',
    diameter: 7.3,
    lengths: [5000, 10_000],
    inWall: true,
    farthest: 20_000,
    plug: { width: 21, height: 11 },
  },
]
const wired = (change?: Parameters<typeof wiredWall>[1]) => wiredWall(CABLES, change)
/** The same with a circuit, and so a home run, for each box. */
const apart = (change: Parameters<typeof wiredWall>[1] = () => {}) => wired((wall, job) => {
  ownCircuits(wall)
  change(wall, job)
})

describe('what all routes have opened and closed', () => {
  it('is counted once where several share it: two rows drop in one bay through one hole, and past one opening', () => {
    const plain = apart()
    expect([plain.works.bores.length, plain.works.seals, plain.works.openings.length]).toEqual([3, 3, 0])
    // Two cables of 10: √(2 · 100 ÷ 0.31) = 25.4, so a bit of 28.
    expect(plain.works.bores.map(({ diameter, cables }) => [diameter, cables])).toEqual(
      Array.from({ length: 3 }, () => [28, 2]),
    )
    expect(plain.works.minutes).toBeCloseTo(plain.routes.reduce((sum, { minutes }) => sum + minutes, 0) - 3 * 12, 9)
    const blocked = apart((wall) => { wall.blocking = [{ id: 'k1', y: 2700, found: true }] })
    expect([blocked.works.openings.length, blocked.works.patches, blocked.works.bores.length]).toEqual([3, 3, 6])
    expect(blocked.works.minutes).toBeCloseTo(plain.works.minutes + 3 * 42, 9)
  })

  it('on a solid wall is raceway: what lies over each other is one run, as wide as its fullest stretch', () => {
    const { works, routes, boxes } = apart((wall, job) => {
      wall.structure = { kind: 'concrete', thickness: 200, strength: 28 }
      Object.assign(job.catalogue.boxes![0]!, { surface: true, depth: 42 })
    })
    // Three columns, each from the ceiling to its lower box.
    const lower = boxes.filter(({ id }) => id.startsWith('b-r2'))
    expect(works.raceways[0]!.length).toBeCloseTo(lower.reduce((sum, { y }) => sum + 3300 - y, 0), 6)
    expect(works.raceways[0]!.inside).toBeCloseTo(Math.sqrt(2 * 100 / 0.31), 6)
    // What is in sight is above the displays, whose top is at 2226.5, and in the gap of 0.6 between the rows.
    expect(works.raceways[0]!.seen).toBeCloseTo(3 * (3300 - 2226.5 + 0.6), 6)
    expect(routes.every(({ way, seen }) => way === 'surface' && Math.abs(seen - (3300 - 2226.5)) < 1)).toBe(true)
    expect(works.raceways.map(({ kind, corners }) => [kind, corners])).toEqual([['power', 0]])
  })

  it('on a solid wall has raceways of power and of signal apart, with their corners', () => {
    const { works, routes } = apart((wall, job) => {
      wall.structure = { kind: 'concrete', thickness: 200, strength: 28 }
      for (const box of job.catalogue.boxes!) Object.assign(box, { surface: true, depth: 42 })
      wall.boxes = [
        { id: 'b', kind: 'power', model: 'p1', for: ['a1-r1c1'] },
        { id: 'g', kind: 'pass-through', model: 'g1', for: ['a1-r1c1'] },
      ]
      wall.sources = [wall.sources![0]!, { id: 'pl', kind: 'player', x: 400, y: 400, ports: 6, carries: 'picture' }]
      job.catalogue.cables!.push(
        { id: 'hd', kind: 'picture', diameter: 7, lengths: [50_000], inWall: true } as CableModel)
    })
    expect(routes.map(({ kind, legs }) => [kind, legs.length])).toEqual([['power', 1], ['signal', 2]])
    expect(works.raceways.map(({ kind, corners }) => [kind, corners])).toEqual([['power', 0], ['signal', 1]])
    const [, signal] = routes
    const { length } = signal!
    // Set-up, six minutes a metre, two ends, a corner.
    expect(signal!.minutes).toBeCloseTo(10 + length / 1000 * 6 + 2 * 8 + 4, 6)
    expect(works.raceways[1]!.length).toBeCloseTo(length, 6)
  })

  it('cuts cables from as few reels as hold them', () => {
    const { works: { reels: [reel] }, cables } = apart()
    const pieces = cables.filter(({ kind }) => kind === 'power')
    const whole = pieces.reduce((sum, { needed }) => sum + needed.value, 0)
    // Six of about 10 m: two of 25 m each hold two and a piece more, so three.
    expect([reel!.lengths.length, reel!.left]).toEqual([3, expect.closeTo(75_000 - whole, 6)])
  })

  it('bores studs within what they may lose, and puts steel plates where the hole comes near a face', () => {
    const across = (depth: number) => apart((wall) => {
      wall.void = { above: 'none', below: 'none' }
      wall.bearing = false
      wall.structure.memberDepth = depth
      for (const source of wall.sources!) Object.assign(source, { kind: 'outlet', feature: 'o1' })
    })
    const [deep, shallow] = [across(140), across(70)]
    expect(deep.routes.every(({ legs }) => legs.some(({ method }) => method === 'across a stud'))).toBe(true)
    expect([deep.works.guards, deep.noWay]).toEqual([0, []])
    expect(shallow.works.guards).toBe(
      2
      * shallow.works.bores
        .filter(({ through: what }) => what === 'stud')
        .reduce((sum, { routes }) => sum + routes.length, 0),
    )
    // Nothing is bored behind a plate: its screws are in that stud.
    for (const { rect } of deep.works.openings)
      for (const { plate } of deep.plan.arrays[0]!.positions)
        expect(
          rect.x < plate!.rect.x + plate!.rect.width
          && plate!.rect.x < rect.x + rect.width
          && rect.y < plate!.rect.y + plate!.rect.height
          && plate!.rect.y < rect.y + rect.height,
        ).toBe(false)
  })
})

describe('marks', () => {
  it('of a cut-out are its four corners, each from the datum and the level line, with its size; of a bore its bit', () => {
    const { plan, boxes, works } = apart((wall) => {
      wall.blocking = [{ id: 'k1', y: 2700, found: true }]
    })
    const { marks } = plan.marking
    const [box] = boxes
    expect(
      marks
        .filter(({ id }) => id.startsWith('b-r1c1-box-'))
        .map(({ label, running, height }) => [label, running, height]),
    ).toEqual([
      ['R1 C1 box b-r1c1 top left', box!.x - 35, box!.y + 54],
      ['R1 C1 box b-r1c1 top right', box!.x + 35, box!.y + 54],
      ['R1 C1 box b-r1c1 bottom left', box!.x - 35, box!.y - 54],
      ['R1 C1 box b-r1c1 bottom right', box!.x + 35, box!.y - 54],
    ])
    const rows = tableOf(marks, 'metric', {})
    expect([
      rows.find(({ id }) => id === 'b-r1c1-box-tl')!.drill,
      rows.find(({ kind }) => kind === 'opening')!.drill,
      rows.find(({ kind }) => kind === 'bore')!.drill,
    ]).toEqual(['cut 70 × 108', 'cut 150 × 100', '28 mm through'])
    expect(marks.filter(({ kind }) => kind === 'bore').length).toBe(works.bores.length)
    expect(marks.filter(({ kind }) => kind === 'opening').length).toBe(4 * works.openings.length)
  })
})

describe('power and signal', () => {
  const withSignal = (rules: Wall['rules'], change: Parameters<typeof wiredWall>[1] = () => {}) =>
    wired((wall, job) => {
      wall.rules = rules
      wall.sources!.push({ id: 'pl', kind: 'player', away: 2000 })
      wall.boxes!.push(
        ...SCREENS.map(at => ({ id: `g-${at}`, kind: 'pass-through' as const, model: 'g1', for: [`a1-${at}`] })),
      )
      change(wall, job)
    })

  it('have bays of their own, or it is a stop', () => {
    const plan = withSignal({})
    const powered = new Set(plan.routes.flatMap(({ kind, bays }) => kind === 'power' ? bays : []))
    for (const { kind, to, bays } of plan.routes)
      if (kind === 'signal' && bays.some(bay => powered.has(bay)))
        expect(
          plan.said
            .filter(({ code }) => code === 'signal-with-power')
            .some(({ message }) => message.includes(`box ${to} `)),
        ).toBe(true)
    expect(plan.routes.filter(({ kind }) => kind === 'signal').length).toBeGreaterThan(0)
  })

  it('in one bay are as far apart as the rule has it', () => {
    for (const apart of [50, 200]) {
      const plan = withSignal({ signalBesidePower: 'apart-in-one-bay', powerSignalApart: apart })
      for (const a of plan.boxes.filter(({ kind, held }) => kind === 'power' && held))
        for (const b of plan.boxes.filter(({ kind, held }) => kind === 'pass-through' && held))
          expect(Math.abs(a.x - b.x)).toBeGreaterThanOrEqual(apart - 1e-6)
    }
  })

  it('want a channel each in an arm', () => {
    const arm = (channels: number | undefined) =>
      withSignal({}, (_wall, job) =>
        Object.assign(job.catalogue.mounts[0]!, { kind: 'arm', ...(channels !== undefined && { channels }) }),
      ).codes
    expect([
      arm(2).includes('one-channel'),
      arm(1).includes('one-channel'),
      arm(undefined).includes('channels-not-known'),
    ]).toEqual([false, true, true])
  })
})

describe('what is said', () => {
  it.each<[string, NonNullable<Parameters<typeof wiredWall>[1]>, string, string]>([
    [
      'a circuit without amps',
      (wall) => {
        delete wall.sources![0]!.amps
      },
      'stop',
      'circuit-not-known',
    ],
    [
      'a source that is not there any more',
      (wall) => {
        wall.sources![0]!.feature = 'gone'
      },
      'stop',
      'source-gone',
    ],
    [
      'a display without watts',
      (_, job) => {
        delete job.catalogue.displays[0]!.power
      },
      'stop',
      'power-not-known',
    ],
    [
      'nothing open on either side',
      (wall) => {
        wall.void = { above: 'none', below: 'none' }
      },
      'stop',
      'no-way',
    ],
    [
      'nothing said of what is open',
      (wall) => {
        delete wall.void
      },
      'caution',
      'void-not-known',
    ],
    [
      'screens without a box',
      (wall) => {
        wall.boxes!.splice(0, 2)
      },
      'caution',
      'no-box',
    ],
    [
      'boxes against the house rule',
      (wall) => {
        wall.rules = { power: 'kit' }
      },
      'caution',
      'power-against-rule',
    ],
    [
      'a player with too few ports',
      (wall) => {
        wall.sources!.push({ id: 'pl', kind: 'player', ports: 2, away: 100 })
      },
      'stop',
      'no-port',
    ],
    [
      'signal without a pass-through',
      (wall) => {
        wall.sources!.push({ id: 'pl', kind: 'player', away: 100 })
      },
      'caution',
      'no-pass-through',
    ],
    [
      'a player for a screen that is gone',
      (wall) => {
        wall.sources!.push({ id: 'pl', kind: 'player', for: ['gone'], away: 100 })
      },
      'caution',
      'screen-gone',
    ],
    [
      'outside, an outlet that nothing protects',
      (wall) => {
        Object.assign(wall, { wet: true, sources: [{ ...wall.sources![0]!, protected: false }] })
      },
      'stop',
      'outlet-not-protected',
    ],
    [
      'outside, one of which nobody knows',
      (wall) => {
        wall.wet = true
      },
      'caution',
      'protection-not-known',
    ],
    [
      'outside, a box that does not cover its plug',
      (wall) => {
        wall.wet = true
      },
      'stop',
      'box-no-place',
    ],
    [
      'a void that carries air, and no cable for it',
      (wall) => {
        wall.void = { above: 'plenum', below: 'none' }
      },
      'stop',
      'cable-not-plenum',
    ],
    [
      'no cable stocked long enough',
      (_, job) => {
        job.catalogue.cables![0]!.lengths = [5000]
      },
      'stop',
      'cable-too-short',
    ],
    [
      'a fire-rated wall',
      (wall) => {
        wall.fireRating = 60
      },
      'stop',
      'box-no-place',
    ],
    [
      'an old lining',
      (wall) => {
        wall.linedIn = 1972
      },
      'caution',
      'old-lining-cut',
    ],
    [
      'a plate that the hole takes half of',
      (wall, job) => {
        wall.structure.memberDepth = 70
        job.catalogue.cables![0]!.diameter = 30
      },
      'caution',
      'plate-weakened',
    ],
    [
      'a bundle that no bit makes a hole for',
      (_, job) => {
        job.catalogue.cables![0]!.diameter = 120
      },
      'stop',
      'hole-too-wide',
    ],
    [
      'an opening that would come at a live cable',
      (wall, _job) => {
        wall.blocking = [{ id: 'k1', y: 2700, found: true }]
        wall.features!.push({ id: 'c', kind: 'live-cable', x: 0, y: 2680, width: 6200, height: 20 })
      },
      'stop',
      'opening-at-hazard',
    ],
    [
      'a fixed mount, behind which no hand reaches',
      (_, job) => {
        Object.assign(job.catalogue.mounts[0]!, { kind: 'fixed', depth: { stowed: 58, service: 58 } })
      },
      'caution',
      'box-hard-to-reach',
    ],
    [
      'a pull-out that comes out too little',
      (_, job) => {
        job.catalogue.mounts[0]!.depth.service = 150
      },
      'caution',
      'box-hard-to-reach',
    ],
    [
      'the moving parts behind the display as it closes',
      (_, job) => {
        job.catalogue.mounts[0]!.sweep = { width: 1000, height: 560 }
      },
      'stop',
      'box-no-place',
    ],
    [
      'a box that stands out farther than there is room stowed',
      (_, job) => {
        job.catalogue.boxes![0]!.proud = 60
      },
      'stop',
      'box-no-place',
    ],
  ])('of %s names it and a cure', (_, change, severity, code) => {
    const found = wired(change).said.find(each => each.code === code)!
    expect(found?.severity).toBe(severity)
    expect(found.message.length).toBeGreaterThan(20)
    expect(found.remedy).not.toBe('')
  })

  it('of a good wall is only whom fixed wiring is for', () => expect(wired().codes).toEqual(['licensed-people']))

  it('asks for the reading that saves most where blocking is in doubt, and for none where it is known', () => {
    const doubtful = wired((wall) => {
      wall.void = { above: 'open', below: 'open' }
      delete wall.blocking
    })
    expect([doubtful.look!.y, doubtful.look!.minutes > 0]).toEqual([1650, true])
    expect(doubtful.routes.some(({ bays }) => bays.includes(doubtful.look!.bay))).toBe(true)
    expect(wired().look).toBeUndefined()
  })
})

describe('a bay from above', () => {
  const wall = {
    width: 6200,
    height: 3300,
    references: [{ id: 'jamb', front: 2000, back: 1900 }],
    features: [
      { id: 'p1', kind: 'pipe', x: 2600, y: 0, width: 40, height: 3300 },
      { id: 'p2', kind: 'pipe', x: 2500, y: 0, width: 40, height: 1000 },
    ],
  }
  it('is found by what is seen on both levels, the nearest first', () => {
    expect(carriedTo(wall, 2300, 'above').map(({ from, off }) => [from, off])).toEqual([
      ['reference jamb', 300],
      ['the centre of pipe p1', -320],
      ['the left edge of the wall', 2300],
      ['the right edge of the wall', -3900],
    ])
    expect(carriedTo(wall, 2300, 'below')[0]).toEqual({ from: 'the centre of pipe p2', off: -220 })
  })

  it('is missed by a locator that is not over it with room for the bit', () => {
    expect([
      missesBay({ from: 2000, to: 2300 }, 2150, 20),
      missesBay({ from: 2000, to: 2300 }, 2295, 20),
      missesBay({ from: 2000, to: 2300 }, 1990, 20),
    ]).toEqual([0, 5, 20])
  })
})
