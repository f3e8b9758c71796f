import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { studWall } from '../../tests/fixtures/walls'
import type { Evidence } from '../job'
import { zonesOf } from '../mount/holes/zones'
import { mapFraming, piecesOf } from './framing'
import { survey } from './index'
import {
  chance, hiddenWall, INSTRUMENTS, READING_GROUPS, readWall, WORLDS, type HiddenMember, type ReadingGroup,
  type WorldName,
} from './simulatedReadings'

const stud = (centre: number, width = 38): HiddenMember => ({ centre, width })
const pair = (centre: number, width = 38): Partial<Evidence>[] => [
  { method: 'detector-edge', edge: 'left', x: centre - width / 2 },
  { method: 'detector-edge', edge: 'right', x: centre + width / 2 },
]
const row = (from: number, count: number, spacing = 400) => Array.from({ length: count }, (_, n) => from + n * spacing)
const found = (readings: Partial<Evidence>[], change = {}) => mapFraming(studWall(readings, change)).members
const centres = (readings: Partial<Evidence>[]) =>
  found(readings)
    .filter(({ source }) => source === 'observed')
    .map(({ centre }) => Math.round(centre))

describe('one member', () => {
  it('is half way between the edges that a detector told, to 3/√2 mm and the 2 mm that its readings share', () => {
    const [member] = found(pair(1200))
    expect(member).toMatchObject({ kind: 'single', source: 'observed', width: 38, evidence: ['e1', 'e2'] })
    expect(member!.centre).toBeCloseTo(1200, 1)
    expect(member!.sd).toBeCloseTo(Math.hypot(3 / Math.SQRT2, 2), 1)
  })

  it('is a doubled one when its edges are more than 1.6 of its width apart', () => {
    const [member] = found(pair(1200, 76))
    expect(member).toMatchObject({ kind: 'double', width: 76 })
    expect(member!.centre).toBeCloseTo(1200, 1)
  })

  it('lies wherever all the screw heads found on it can lie on its face', () => {
    const [member] = found([{ method: 'magnet', x: 1191 }, { method: 'magnet', x: 1209 }])
    // Faces of 38 less 6 at either edge: the centre is within 13 of both heads, or a doubled one's within 32.
    const [alone] = found([{ method: 'magnet', x: 1200 }])
    expect(member!.centre).toBeCloseTo(1200, 0)
    expect(member!.sd).toBeGreaterThan(4 / 1.96)
    expect(member!.sd).toBeLessThan(0.75 * alone!.sd)
  })

  it('covers every nail that met it and no nail that did not', () => {
    const [member] = found([
      { method: 'probe', x: 1180, hit: false }, { method: 'probe', x: 1184, hit: true },
      { method: 'probe', x: 1216, hit: true }, { method: 'probe', x: 1220, hit: false },
    ])
    expect(member!.centre).toBeCloseTo(1200, 0)
    expect(1.96 * member!.sd).toBeLessThan(3)
  })

  it.each([
    ['sight', { method: 'seen', x: 1200 }, 1.5], ['a detector’s centre', { method: 'detector-centre', x: 1200 }, 6],
  ] as const)('by %s is as sure as that is', (_, reading, sigma) => {
    const [member] = found([reading])
    expect(member!.centre).toBeCloseTo(1200, 0)
    expect(Math.abs(member!.sd - sigma)).toBeLessThan(0.25 * sigma)
  })

  it('is surer with every sign that agrees', () => {
    const [two] = found(pair(1200))
    const [four] = found([...pair(1200), ...pair(1200)])
    const [five] = found([...pair(1200), ...pair(1200), { method: 'seen', x: 1200 }])
    expect(four!.sd).toBeLessThan(two!.sd)
    expect(five!.sd).toBeLessThan(four!.sd)
  })
})

describe('a wall of members', () => {
  it('shows their spacing, and where one is expected that nobody has a sign of', () => {
    const { members, runs } = mapFraming(studWall(row(300, 6).filter(x => x !== 1100).flatMap(x => pair(x))))
    expect(runs).toMatchObject([{ spacing: 400, last: 5 }])
    expect(runs[0]!.start).toBeCloseTo(300, 0)
    const expected = members.filter(({ source }) => source === 'inferred')
    expect(expected.some(({ centre }) => Math.abs(centre - 1100) < 1)).toBe(true)
    expect(expected.every(({ evidence }) => evidence.length === 0)).toBe(true)
  })

  it('does not expect one where a nail met nothing, nor in a doorway', () => {
    const readings = row(300, 6).filter(x => x !== 1100).flatMap(x => pair(x))
    const misses = [1092, 1100, 1108].map(x => ({ method: 'probe', x, hit: false } as const))
    expect(found([...readings, ...misses]).some(({ centre }) => Math.abs(centre - 1100) < 60)).toBe(false)
    const door = { features: [{ id: 'd', kind: 'door', x: 800, y: 0, width: 650, height: 2100 }] }
    expect(found(readings, door).some(({ centre }) => Math.abs(centre - 1100) < 60)).toBe(false)
  })

  it('begins a new run after an odd bay, and where the spacing changes', () => {
    const odd = [...row(300, 4), ...row(1780, 4)]
    expect(mapFraming(studWall(odd.flatMap(x => pair(x)))).runs.map(({ spacing, last }) => [spacing, last])).toEqual([
      [400, 3],
      [400, 3],
    ])
    const changed = [...row(300, 5), ...row(2500, 4, 600)]
    expect(mapFraming(studWall(changed.flatMap(x => pair(x)))).runs.map(({ spacing }) => spacing)).toEqual([400, 600])
  })

  it('is not bent by a screw in blocking or an edge that is none', () => {
    const readings = row(300, 8).flatMap(x => pair(x))
    const wall = studWall([
      ...readings,
      { method: 'magnet', x: 910 },
      { method: 'detector-edge', edge: 'left', x: 2010 },
    ])
    const { members, unexplained } = mapFraming(wall)
    expect(members.filter(({ source }) => source === 'observed').map(({ centre }) => Math.round(centre))).toEqual(
      row(300, 8),
    )
    expect(unexplained.map(({ reading }) => reading.id)).toEqual(['e17', 'e18'])
  })

  it('takes a member beside the run when two signs show it, and a stud added 120 mm from another', () => {
    const readings = row(300, 8).flatMap(x => pair(x))
    expect(centres([...readings, ...pair(920)])).toContain(920)
    expect(centres([...readings, ...pair(1220)])).toEqual([300, 700, 1100, 1220, 1500, 1900, 2300, 2700, 3100])
  })

  it('leaves out what was set aside', () => {
    const aside = pair(920).map(reading => ({ ...reading, setAside: 'a pipe' }))
    expect(centres([...row(300, 8).flatMap(x => pair(x)), ...aside])).not.toContain(920)
  })
})

describe('the far side', () => {
  it('is mirrored about its reference, left edges becoming right ones, and shares the reference’s error', () => {
    const behind = [
      { method: 'detector-edge', edge: 'left', x: 741, side: 'back', reference: 'jamb' },
      { method: 'detector-edge', edge: 'right', x: 779, side: 'back', reference: 'jamb' },
    ] as const
    const [member] = found([...behind], { references: [{ id: 'jamb', front: 3000, back: 1560 }] })
    expect(member!.centre).toBeCloseTo(3800, 0)
    // The edges' own errors, what the detector's readings share, and both readings of the jamb.
    const alone = Math.hypot(3 / Math.SQRT2, 2, Math.SQRT2 * 1.5)
    expect(Math.abs(member!.sd - alone)).toBeLessThan(0.3)
  })
})

describe('a doubled member', () => {
  const beside = (aside: number) => [
    ...row(300, 8)
      .filter(x => x !== 1500)
      .flatMap(x => pair(x)),
    ...pair(1500 + aside, 76),
  ]
  it.each([-19, 0, 19])('is told by its two edges wherever it stands to its run: %d beside', (aside) => {
    const member = found(beside(aside)).find(({ centre }) => Math.abs(centre - 1500 - aside) < 6)!
    expect(member).toMatchObject({ kind: 'double', plies: 2, width: 76 })
    expect(Math.abs(member.centre - 1500 - aside)).toBeLessThan(2)
    expect(piecesOf(member).map(({ width }) => width)).toEqual([38, 38])
  })

  it('is not made of a king and a jack that stand apart', () => {
    expect(centres([...row(300, 4).flatMap(x => pair(x)), ...pair(1900), ...pair(1955)])).toEqual([
      300, 700, 1100, 1500, 1900, 1955,
    ])
  })
})

describe('what readings of one source share', () => {
  const studs = row(300, 9)
  const nails = (x: number): Partial<Evidence>[] =>
    [-20, -18, 18, 20].map(off => ({ method: 'probe', hit: Math.abs(off) < 19, x: x + off }))
  const shifted = (by: number, wide = 0) => studs.flatMap(x => pair(x + by, 38 + wide))
  it('is learned from other kinds, taken off, and told', () => {
    const { members, findings, shared } = survey(studWall([...shifted(5), ...studs.slice(0, 5).flatMap(nails)]))
    expect(shared).toMatchObject([{ source: 'detector front', raw: { off: expect.closeTo(5, 0), members: 5 } }])
    expect(findings.map(({ code }) => code)).toContain('kinds-disagree')
    // Members that the detector alone read stand where they are, too, as well as is said.
    for (const x of studs) {
      const member = members.find(({ centre }) => Math.abs(centre - x) < 15)!
      expect(Math.abs(member.centre - x)).toBeLessThan(1.96 * member.sd)
      expect(Math.abs(member.centre - x)).toBeLessThan(1.5)
    }
    expect(
      survey(studWall([...shifted(0), ...studs.slice(0, 5).flatMap(nails)])).findings.map(({ code }) => code),
    ).not.toContain('kinds-disagree')
  })

  it('keeps one detector alone from being surer than it is: four sweeps are not four witnesses', () => {
    const sd = (times: number) => found(Array.from({ length: times }, () => pair(1200)).flat())[0]!.sd
    expect(sd(4)).toBeLessThan(sd(1))
    // What all sweeps of an edge share, and all readings of the detector, stays however well they agree.
    expect(sd(4)).toBeGreaterThan(Math.hypot(2, 2 / Math.SQRT2))
  })

  it('shows a reference that is out by half a stud, where members were read from both sides', () => {
    const wall = (out: number) =>
      studWall(
        [
          ...studs
            .flatMap(x => pair(6000 - x))
            .map(reading => ({ ...reading, side: 'back' as const, reference: 'jamb' })),
          ...studs.slice(2, 5).flatMap(nails),
        ],
        { references: [{ id: 'jamb', front: 3000 + out, back: 3000 }] },
      )
    const codes = (out: number) => survey(wall(out)).findings.map(({ code }) => code)
    expect(codes(20)).toContain('sides-disagree')
    expect(codes(0)).not.toContain('sides-disagree')
    // With the front to go by, what is known of the others is put right.
    for (const x of [300, 3100]) {
      const member = survey(wall(20)).members.find(({ centre }) => Math.abs(centre - x) < 25)!
      expect(Math.abs(member.centre - x)).toBeLessThan(1.96 * member.sd)
    }
    expect([
      survey(wall(0)).uncheckedReferences,
      survey({ ...wall(0), evidence: wall(0).evidence!.filter(({ side }) => side === 'back') }).uncheckedReferences,
    ]).toEqual([[], ['jamb']])
  })

  it('tells a width that is not the one that was said, and counts on the lesser', () => {
    const { members, findings } = survey(studWall(studs.flatMap(x => pair(x, 45))))
    expect(findings.map(({ code }) => code)).toContain('member-width-differs')
    expect(members[0]!.width).toBeGreaterThan(42)
    expect(members[0]!.sureWidth).toBe(38)
    expect(survey(studWall(studs.flatMap(x => pair(x, 39)))).members[0]).toMatchObject({ width: 38 })
  })
})

/**
 * How a survey does on made-up walls: members found, inside their interval, invented; doubles told; pieces passed for a
 * 3/8 lag, and wrongly.
 */
function tally(world: WorldName, group: ReadingGroup, walls: number) {
  const EDGE = 1.5 * 9.525
  let [truths, seen, inside, invented, passed, wrong] = [0, 0, 0, 0, 0, 0]
  for (let seed = 1; seed <= walls; seed++) {
    const hidden = hiddenWall(seed, world)
    const { wall, read } = readWall(hidden, group, 1000 + seed)
    const observed = survey(wall).members.filter(({ source }) => source === 'observed')
    for (const truth of read) {
      truths++
      const off = observed
        .map(({ centre, sd }) => ({ off: Math.abs(centre - truth.centre), sd }))
        .sort((a, b) => a.off - b.off)[0]
      if (!off || off.off > 30) continue
      seen++
      if (off.off <= 1.96 * off.sd) inside++
    }
    invented += observed.filter(
      ({ centre }) => !hidden.members.some(truth => Math.abs(truth.centre - centre) <= 30),
    ).length
    for (const { index, centre, usable } of zonesOf(observed, EDGE)) {
      if (usable < 0 || !observed[index]!.proved) continue
      passed++
      const spare = Math.max(
        ...hidden.members.flatMap(({ centre: at, width, plies = 1 }) =>
          Array.from(
            { length: plies },
            (_, n) => width / plies / 2 - Math.abs(centre - at - ((n + 0.5 - plies / 2) * width) / plies),
          ),
        ),
      )
      if (spare < EDGE) wrong++
    }
  }
  return {
    found: seen / truths,
    inside: inside / seen,
    invented: invented / walls,
    wrongly: passed > 0 ? wrong / passed : 0,
  }
}

describe('simulated walls', () => {
  it.each(READING_GROUPS)('read by %s: found, told honestly, and hardly any made up', (group) => {
    const { found, inside, invented, wrongly } = tally('as modelled', group, 40)
    expect(found).toBeGreaterThan(0.985)
    // What a detector or a reference shares is one error for a whole wall, so forty walls scatter more than the shift
    // ofir members would.
    expect(inside).toBeGreaterThan(0.9)
    expect(inside).toBeLessThan(0.995)
    expect(invented).toBeLessThan(0.1)
    expect(wrongly).toBeLessThan(0.03)
  })

  it.each(Object.keys(WORLDS) as WorldName[])(
    '%s: at least as honest as is asked for where two kinds are at hand',
    (world) => {
      const { found, inside, wrongly } = tally(world, 'two kinds', 30)
      expect(found).toBeGreaterThan(0.98)
      expect(inside).toBeGreaterThan(0.9)
      expect(wrongly).toBeLessThan(0.06)
    },
  )

  it('of 45 where 38 was said: doubles of which both edges were read are told, and not taken for two single ones', () => {
    let [doubles, told] = [0, 0]
    for (let seed = 1; seed <= 150; seed++) {
      const { wall, read } = readWall(hiddenWall(seed, 'members of 45 where 38 was said'), 'two kinds', 1 + 7919 * seed)
      const { members } = survey(wall)
      for (const { centre, width } of read.filter(({ plies = 1 }) => plies > 1)) {
        const edgeRead = (edge: string, x: number) =>
          wall.evidence!.some(reading => reading.edge === edge && Math.abs(reading.x - x) < 14)
        if (!edgeRead('left', centre - width / 2) || !edgeRead('right', centre + width / 2)) continue
        doubles++
        if (members.some(member => member.kind === 'double' && Math.abs(member.centre - centre) < 15)) told++
      }
    }
    expect(told / doubles).toBeGreaterThanOrEqual(0.98)
  })

  it('are the same for the same seed', () => {
    expect(hiddenWall(7)).toEqual(hiddenWall(7))
    expect(hiddenWall(7)).not.toEqual(hiddenWall(8))
    expect(readWall(hiddenWall(7), 'mixed', 3)).toEqual(readWall(hiddenWall(7), 'mixed', 3))
  })

  it('give chances that are even and normal', () => {
    const c = chance(5)
    const even = Array.from({ length: 4000 }, () => c.between(0, 1))
    const normal = Array.from({ length: 4000 }, () => c.off(2))
    const mean = (values: number[]) => values.reduce((a, b) => a + b) / values.length
    expect(mean(even)).toBeCloseTo(0.5, 1)
    expect(mean(normal)).toBeCloseTo(0, 0)
    expect(Math.sqrt(mean(normal.map(x => x * x)))).toBeCloseTo(2, 0)
  })

  it('have instruments that read what is there', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
      const c = chance(seed)
      const member = stud(1200)
      expect(Math.abs(INSTRUMENTS.magnet(member, c).x - 1200)).toBeLessThanOrEqual(13)
      expect(INSTRUMENTS.probe([member], 1218.9).hit).toBe(true)
      expect(INSTRUMENTS.probe([member], 1219.1).hit).toBe(false)
    }))
  })
})

describe('the survey', () => {
  it('takes members that are listed as known, whatever the readings say', () => {
    const { members } = survey(
      studWall(pair(1200), {
        structure: { kind: 'wood-stud', memberWidth: 38, members: [{ centre: 800, width: 80 }] },
      }),
    )
    expect(members).toMatchObject([{ centre: 800, width: 80, sd: 0, kind: 'double', source: 'observed', proved: true }])
  })

  it('says what is unknown, only expected, unexplained or contradicted', () => {
    const codes = (readings: Partial<Evidence>[]) => survey(studWall(readings)).findings.map(({ code }) => code)
    expect(codes([])).toEqual(['framing-unknown'])
    expect(codes(row(300, 6).filter(x => x !== 1100).flatMap(x => pair(x)))).toContain('member-inferred')
    expect(codes([...row(300, 6).flatMap(x => pair(x)), { method: 'magnet', x: 910 }])).toContain('reading-unexplained')
    const contradicted = survey(
      studWall([
        ...pair(1200),
        { method: 'probe', x: 1200, y: 1500, hit: true },
        { method: 'probe', x: 1201, y: 400, hit: false },
      ]),
    ).findings.find(({ code }) => code === 'member-ends')
    expect(contradicted?.subject).toEqual({ kind: 'reading', id: 'e4' })
  })

  it('cautions of an old lining and of a fire rating', () => {
    const codes = (change: object) => survey(studWall(pair(1200), change)).findings.map(({ code }) => code)
    expect(codes({ linedIn: 1974, fireRating: 60 })).toEqual(['lining-old', 'wall-fire-rated'])
    expect(codes({ linedIn: 2004, fireRating: 0 })).toEqual([])
  })

  it('says nothing of members on a wall that carries all over', () => {
    expect(survey(studWall(pair(1200), { structure: { kind: 'concrete' } }))).toMatchObject({
      members: [],
      findings: [],
    })
  })
})
