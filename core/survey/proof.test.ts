import { describe, expect, it } from 'vitest'
import { studWall } from '../../tests/fixtures/walls'
import type { Evidence, Reference } from '../job'
import { sumToString, textToString } from '../units'
import { centreFigure, spacingFigure, startFigure, widthFigure } from './figures'
import { carriedFigure, carryOver, nextProbe, proofOf, survey } from './index'

const edges = (centre: number): Partial<Evidence>[] => [
  { method: 'detector-edge', edge: 'left', x: centre - 19 },
  { method: 'detector-edge', edge: 'right', x: centre + 19 },
]
const proved = (readings: Partial<Evidence>[], rules = {}) => survey(studWall(readings), rules).members[0]!.proved

describe('proof of framing', () => {
  it.each([
    ['both edges of one detector', edges(1200), false],
    ['edges and centre of one detector', [...edges(1200), { method: 'detector-centre', x: 1200 }], false],
    ['edges and a magnet', [...edges(1200), { method: 'magnet', x: 1205 }], true],
    ['edges and a dull knock', [...edges(1200), { method: 'knock', x: 1205, dull: true }], false],
    [
      'a dull knock and an outlet box',
      [
        { method: 'knock', x: 1200, dull: true },
        { method: 'outlet', x: 1204 },
      ],
      false,
    ],
    [
      'a magnet, a knock and an outlet box',
      [
        { method: 'magnet', x: 1200 },
        { method: 'knock', x: 1200, dull: true },
        { method: 'outlet', x: 1204 },
      ],
      false,
    ],
    ['a nail that met it', [{ method: 'probe', x: 1200, hit: true }], true],
    ['sight of it', [{ method: 'seen', x: 1200 }], true],
    [
      'two screws',
      [
        { method: 'magnet', x: 1200 },
        { method: 'magnet', x: 1203 },
      ],
      false,
    ],
  ] as [string, Partial<Evidence>[], boolean][])('by two kinds or a probe: %s', (_, readings, is) =>
    expect(proved(readings)).toBe(is),
  )

  it('by one sign, where the firm has chosen that', () =>
    expect(proved(edges(1200), { proofOfFraming: 'one-sign' })).toBe(true))

  it('says what a member rests on', () => {
    const wall = studWall([...edges(1200), { method: 'magnet', x: 1205 }])
    expect(textToString(proofOf(survey(wall).members[0]!, wall, {}).restsOn, 'metric')).toBe(
      'a detector edge (2 times) and a magnet',
    )
  })
})

describe('the next probe', () => {
  const wall = studWall([...edges(1200), ...edges(1600), { method: 'magnet', x: 1602 }, ...edges(2000), ...edges(2400)])
  const { members } = survey(wall)
  const of = (centre: number) => members.findIndex(member => Math.abs(member.centre - centre) < 5)
  const at = (centre: number, y = 1800) => ({ x: centre, y, member: of(centre) })

  it('is where most planned holes rest on what is not proved', () => {
    const probe = nextProbe(wall, members, [at(1200), at(1600), at(1600), at(1600), at(2000), at(2000, 1400)])!
    expect(probe.x).toBeCloseTo(2000, 0)
    expect(probe.y).toBe(1600)
    expect(probe.gain).toBeGreaterThan(1.9)
    expect(textToString(probe.why, 'metric')).toContain('Stud 4 is unconfirmed and 2 planned holes rely on it')
  })

  it('is nowhere once all that is planned rests on what is proved', () => {
    expect(nextProbe(wall, members, [at(1600)])).toBeUndefined()
    expect(nextProbe(wall, members.map(member => ({ ...member, proved: true })), [])).toBeUndefined()
  })

  it('is at a member that a plate could reach which nothing holds yet, once all that is planned is proved', () => {
    const plate = { from: 1900, to: 2500, y: 1700, of: 'Grid R1 C2' }
    const probe = nextProbe(wall, members, [at(1600)], { unheld: [plate] })!
    expect(members[of(probe.x)]).toMatchObject({ proved: false })
    expect([probe.x > 1900 && probe.x < 2500, probe.y]).toEqual([true, 1700])
    expect(textToString(probe.why, 'metric')).toMatch(
      /^Grid R1 C2 is not fixed yet, and could reach stud [45], which is unconfirmed\.$/,
    )
    const known = members.map(member => ({ ...member, proved: true, sd: member.centre > 2200 ? 2 : 0.5 }))
    expect(nextProbe(wall, known, [at(1600)], { unheld: [plate] })!.x).toBeCloseTo(2400 - 19, 0)
    expect(
      nextProbe(
        wall,
        known.map(member => ({ ...member, sd: 0.5 })),
        [at(1600)],
        { unheld: [plate] },
      ),
    ).toBeUndefined()
  })

  it('is one spacing from the corner where nothing is known', () => {
    expect(nextProbe(studWall([], { structure: { kind: 'wood-stud', spacing: 600 } }), [], [])).toMatchObject({
      x: 600,
    })
  })

  describe('over a whole wall, where 13 planned holes rest on four of twelve unproved members', () => {
    const all = Array.from({ length: 12 }, (_, n) => 300 + 400 * n)
    const holes = [5, 6, 6, 6, 6, 8, 8, 9, 9, 9, 9, 9, 9]
    /** How many planned holes are not settled before each reading of a chooser, until all are. */
    const unsettled = (choose: (readings: Partial<Evidence>[]) => number) => {
      const readings = all.flatMap(edges)
      for (const counts: number[] = []; ; readings.push({ method: 'probe', x: choose(readings), hit: true })) {
        const { members } = survey(studWall(readings))
        counts.push(holes.filter(index => !members[index]!.proved).length)
        if (counts.at(-1) === 0 || counts.length > 20) return counts
      }
    }
    const guided = unsettled((readings) => {
      const wall = studWall(readings)
      const { members } = survey(wall)
      return nextProbe(wall, members, holes.map(member => ({ x: members[member]!.centre, y: 1500, member })))!.x
    })

    it('each reading settles as many holes as any one reading could', () => expect(guided).toEqual([13, 7, 3, 1, 0]))

    it('all are settled with at least 30 % fewer readings than a sweep from the left takes', () => {
      const sweep = unsettled(readings => all[readings.length - 2 * all.length]!)
      expect(guided.length - 1).toBeLessThanOrEqual(0.7 * (sweep.length - 1))
    })
  })
})

describe('carrying over from the far side', () => {
  const jamb: Reference = { id: 'jamb', front: 5400, back: 760 }
  it('mirrors about the reference', () => {
    expect(carryOver(jamb, 2409)).toBe(3751)
    expect(carryOver(jamb, 760)).toBe(5400)
    expect(sumToString(carriedFigure(jamb, 2409).working[0]!.expression, 'metric')).toBe('5400 + (760 − 2409)')
  })

  it('checks one reference by another, and strands no reading in silence', () => {
    const codes = (references: Reference[], reading: Partial<Evidence> = {}) =>
      survey(studWall([{ method: 'magnet', x: 900, side: 'back', ...reading }], { references })).findings.map(
        ({ code }) => code,
      )
    expect(codes([jamb, { id: 'hatch', front: 1000, back: 5160 }], { reference: 'jamb' })).not.toContain(
      'references-disagree',
    )
    expect(codes([jamb, { id: 'hatch', front: 1000, back: 5175 }], { reference: 'jamb' })).toContain(
      'references-disagree',
    )
    expect(codes([jamb, { id: 'hatch', front: 1000, back: 5160 }])).toContain('reading-not-carried')
    expect(codes([jamb])).not.toContain('reading-not-carried')
  })
})

it('shows the working of spacing, start, centre and width', () => {
  const wall = studWall([300, 700, 1100, 1500].flatMap(edges))
  const { members, runs } = survey(wall)
  const [run, member] = [runs[0]!, members[1]!]
  expect(spacingFigure(run)).toMatchObject({ value: 400 })
  expect(startFigure(run).value).toBeCloseTo(300, 0)
  const centre = centreFigure(wall, member)
  expect(centre.value).toBe(member.centre)
  expect(centre.working.map(({ label }) => label)).toEqual([
    'a detector edge',
    'a detector edge',
    'regular spacing',
    'Centre',
  ])
  expect(centre.working[0]).toMatchObject({ value: 700 })
  expect(sumToString(widthFigure(wall, member).working[0]!.expression, 'metric')).toBe(
    'edges 719 − 681 = 38: one ply of 38',
  )
})
