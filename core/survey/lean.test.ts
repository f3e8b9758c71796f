import { describe, expect, it } from 'vitest'
import type { Evidence, Wall } from '../job'
import { textToString } from '../units'
import { exampleWall } from '../../tests/fixtures/job'
import { memberAt, survey } from './index'
import { chance } from './simulatedReadings'

type Read = Pick<Evidence, 'method' | 'x' | 'y'> & Partial<Evidence>

const wallWith = (readings: Read[]): Wall => {
  const wall = exampleWall()
  const { members: _, spacing: _s, ...structure } = wall.structure
  return { ...wall, structure, evidence: readings.map((reading, n) => ({ id: `e${n}`, ...reading })) }
}
const nail = (x: number, y: number, hit = true): Read => ({ method: 'probe', x, y, hit })
const edges = (x: number, y: number): Read[] =>
  [-19, 19].map(off => ({ method: 'detector-edge', edge: off < 0 ? 'left' : 'right', x: x + off, y }))
/** A nail to both sides of either face, which leaves the face to 2 mm. */
const faces = (x: number, y: number): Read[] => [-20, -18, 18, 20].map(off => nail(x + off, y, Math.abs(off) < 19))
const said = (wall: Wall, code: string) =>
  survey(wall).findings.filter(each => each.code === code).map(({ message }) => textToString(message, 'metric'))

describe('a stud that leans', () => {
  it('is a line through what was read at two heights, and its centre is told at any', () => {
    const { members: [stud, ...more] } = survey(wallWith([...faces(1200, 600), ...faces(1212, 2600)]))
    expect(more).toEqual([])
    expect(1000 * stud!.lean!.slope).toBeCloseTo(6, 0)
    expect([memberAt(stud!, 600).centre, memberAt(stud!, 2600).centre].map(Math.round)).toEqual([1200, 1212])
    expect(said(wallWith([...faces(1200, 600), ...faces(1212, 2600)]), 'member-leans')[0]).toMatch(
      /leans 6(\.\d)? mm\/m to the right/,
    )
  })

  it('explains a hit beside its face at another height before another stud does', () => {
    const { members } = survey(wallWith([...faces(1200, 600), nail(1222, 2600), nail(1206, 2600)]))
    expect(members.map(({ kind }) => kind)).toEqual(['single'])
    expect(members[0]!.evidence).toContain('e4')
    expect(memberAt(members[0]!, 2600).centre).toBeGreaterThan(1203)
  })

  it('is known worse the farther from where it was read: 3 mm for each metre', () => {
    const [stud] = survey(wallWith(edges(1200, 1500))).members
    const [near, far] = [memberAt(stud!, 1500).sd, memberAt(stud!, 2500).sd]
    expect(Math.sqrt(far ** 2 - near ** 2)).toBeCloseTo(3, 2)
  })

  it('is not taken to lean where it may as well lean to the other side', () => {
    const [stud] = survey(wallWith([nail(1200, 500), nail(1200, 2000, false)])).members
    expect(stud).toMatchObject({ lean: { slope: 0 }, stretches: [{ from: 0, to: 1250 }] })
  })

  it('stands where 95 of 100 intervals say, at any height, walls with leans drawn apart from the model', () => {
    const { between, off } = chance(20261130)
    let [within, all] = [0, 0]
    for (let n = 0; n < 150; n++) {
      // Slopes of two kinds, a bow, and readings at one to three heights.
      const [centre, slope, bow] = [between(800, 2000), off(n % 3 === 0 ? 0.006 : 0.002), off(1)]
      const at = (y: number) => centre + slope * (y - 1400) + bow * Math.sin((y / 3300) * Math.PI)
      const heights = [600, 1500, 2400].slice(0, 1 + (n % 3))
      const readings = heights.flatMap(y => n % 2 === 0
        ? edges(at(y), y).map(read => ({ ...read, x: read.x + off(3) }))
        : [-24, -12, 0, 12, 24].map((by) => {
            const x = centre + by + off(2)
            return nail(x, y, Math.abs(x - at(y)) <= 19)
          }))
      const [stud] = survey(wallWith(readings)).members
      if (!stud) continue
      for (const y of [300, 1500, 2900]) {
        const { centre: believed, sd } = memberAt(stud, y)
        all++
        if (Math.abs(believed - at(y)) <= 1.96 * sd) within++
      }
    }
    expect(all).toBeGreaterThan(400)
    expect(within / all).toBeGreaterThan(0.9)
  })
})

describe('a miss at another height', () => {
  it('leaves the stud where nails met it, however near instruments read it, and says that it ends or leans', () => {
    const wall = wallWith([
      ...edges(1200, 1400),
      ...faces(1200, 1560),
      { method: 'pilot', x: 1200, y: 1360, hit: false },
    ])
    const [stud] = survey(wall).members
    expect(stud).toMatchObject({ centre: expect.closeTo(1200, 0), stretches: [{ from: 1380, to: 3300 }] })
    expect(said(wall, 'member-ends')[0]).toMatch(/The stud ends between, or leans by at least 9\d mm\/m\./)
  })
})
