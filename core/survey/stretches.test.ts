import { describe, expect, it } from 'vitest'
import { studWall } from '../../tests/fixtures/walls'
import { exampleJob } from '../../tests/fixtures/job'
import type { Evidence } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'
import { standsAt, survey } from './index'

const edges = (centre: number, y: number): Partial<Evidence>[] => [
  { method: 'detector-edge', edge: 'left', x: centre - 19, y },
  { method: 'detector-edge', edge: 'right', x: centre + 19, y },
]
const nail = (x: number, y: number, hit: boolean): Partial<Evidence> => ({ method: 'probe', x, y, hit })
const member = (readings: Partial<Evidence>[]) => survey(studWall(readings)).members[0]

describe('a member’s height', () => {
  it('is the wall’s until evidence at two heights says otherwise', () => {
    expect(member(edges(1200, 900))!.stretches).toBeUndefined()
    expect(member([...edges(1200, 900), nail(1200, 1000, true), nail(1230, 2000, false)])!.stretches).toBeUndefined()
  })

  it('ends half way to a nail that met nothing at another height', () => {
    expect(member([...edges(1200, 600), nail(1200, 1000, true), nail(1201, 1800, false)])!.stretches).toEqual([
      { from: 0, to: 1400 },
    ])
    expect(member([...edges(1200, 2000), nail(1200, 600, false), nail(1200, 1000, false)])!.stretches).toEqual([
      { from: 1500, to: 2700 },
    ])
  })

  it('may be of two pieces, over and under an opening', () => {
    const split = member([...edges(1200, 400), nail(1200, 1400, false), nail(1200, 2400, true)])!
    expect(split.stretches).toEqual([{ from: 0, to: 900 }, { from: 1900, to: 2700 }])
    expect([400, 1400, 2400].map(y => standsAt(split, y))).toEqual([true, false, true])
  })

  it('is found from one nail alone although another met nothing higher up', () => {
    const surveyed = survey(studWall([nail(1200, 500, true), nail(1200, 2000, false)]))
    expect(surveyed.members[0]).toMatchObject({ proved: true, stretches: [{ from: 0, to: 1250 }] })
    expect(surveyed.findings.map(({ code }) => code)).toContain('member-ends')
  })

  it('is not half of it where a drilled hole missed what one kind of instrument had found: it was wrong of its place', () => {
    const read = [0, 400, 800].flatMap(x => edges(1200 + x, 1300))
    const [before, after] = [
      survey(studWall(read)),
      survey(studWall([...read, { method: 'pilot', x: 1200, y: 2000, hit: false }])),
    ]
    const at = ({ members }: ReturnType<typeof survey>) => members.find(({ centre }) => Math.abs(centre - 1200) < 30)
    expect(at(before)?.source).toBe('observed')
    // Whatever is there now, it is not the member that was believed: gone, or elsewhere, and no hole may go where it
    // missed.
    expect(at(after)?.stretches).toBeUndefined()
    expect(at(after) === undefined || Math.abs(at(after)!.centre - at(before)!.centre) > 1).toBe(true)
    // Two that missed above end it, as a nail that met it does.
    expect(
      at(
        survey(
          studWall([
            ...read,
            { method: 'pilot', x: 1200, y: 2000, hit: false },
            { method: 'pilot', x: 1205, y: 2400, hit: false },
          ]),
        ),
      )!.stretches,
    ).toEqual([{ from: 0, to: 1650 }])
  })

  it('is half of it where two kinds had found it in one place: both are not wrong by half a stud', () => {
    const read = [0, 400, 800].flatMap(x => [
      ...edges(1200 + x, 1300),
      { method: 'magnet' as const, x: 1203 + x, y: 1400 },
    ])
    const { members, findings } = survey(studWall([...read, { method: 'pilot', x: 1200, y: 2000, hit: false }]))
    const at = members.find(({ centre }) => Math.abs(centre - 1200) < 30)
    expect(at?.stretches).toEqual([{ from: 0, to: 1700 }])
    expect(findings.find(({ code }) => code === 'member-ends')).toBeDefined()
  })

  it('is in doubt as a whole where hit and miss are of one height', () => {
    const surveyed = survey(studWall([...edges(1200, 1500), nail(1200, 1600, false)]))
    expect(surveyed.members.every(({ stretches }) => stretches === undefined)).toBe(true)
    expect(surveyed.findings.map(({ code }) => code)).not.toContain('member-ends')
  })
})

it('a hole where its member was not met is a stop, and none where it was', () => {
  const job = exampleJob()
  const wall = job.walls[0]!
  delete wall.structure.members
  const centres = [1900, 2300, 2900, 3300, 3950, 4350]
  const stopsMetTo = (top: number) => {
    wall.evidence = [
      ...centres.flatMap(x => [
        ...[-20, -18, 18, 20].map(off => nail(x + off, 1500, Math.abs(off) < 19)),
        nail(x, top, true),
      ]),
      nail(2300, 2400, false),
    ].map((reading, n) => ({ id: `e${n}`, ...reading }) as Evidence)
    return planWall(wall, job).findings.filter(({ code }) => code === 'member-not-at-height')
  }
  expect(stopsMetTo(1600).map(({ subject }) => subject.id)).toEqual(['a1-r1c1-top-2'])
  expect(textToString(stopsMetTo(1600)[0]!.message, 'metric')).toContain(
    'stud 2 was not found 2090.4 mm above floor, at this hole; it is assumed to run from 0 to 2000 mm',
  )
  expect(stopsMetTo(2000)).toEqual([])
})
