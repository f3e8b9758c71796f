import { describe, expect, it } from 'vitest'
import { studWall } from '../../tests/fixtures/walls'
import type { Evidence, Wall } from '../job'
import { nextProbe, survey } from './index'

const hit = (x: number, y: number): Partial<Evidence> => ({ method: 'probe', x, y, hit: true })
const miss = (x: number, y: number): Partial<Evidence> => ({ method: 'probe', x, y, hit: false })
const edges: Partial<Evidence>[] = [
  { method: 'detector-edge', edge: 'left', x: 1181 },
  { method: 'detector-edge', edge: 'right', x: 1219 },
]
/** A wall on which blocking may run anywhere. */
const wallOf = (readings: Partial<Evidence>[], change: Partial<Wall> = {}) =>
  studWall(readings, { blockingRuledOut: [], ...change })
const provedIn = (wall: Wall) => survey(wall).members.map(({ proved }) => proved)
const BLOCKED = { blocking: [{ id: 'k1', y: 1500, found: true }] }

describe('a nail that met something', () => {
  it.each([
    ['alone, where blocking may run', [hit(1200, 1500)], {}, [false]],
    [
      'where blocking is ruled out',
      [hit(1200, 1500)],
      { blockingRuledOut: [{ x1: 1000, x2: 1400, y1: 1400, y2: 1600 }] },
      [true],
    ],
    [
      'beside where it is ruled out',
      [hit(1200, 1500)],
      { blockingRuledOut: [{ x1: 1000, x2: 1400, y1: 1600, y2: 1900 }] },
      [false],
    ],
    ['at two heights', [hit(1200, 1500), hit(1201, 1650)], {}, [true]],
    ['twice at one height', [hit(1195, 1500), hit(1205, 1560)], {}, [false]],
    ['with misses close to both sides', [hit(1200, 1500), miss(1170, 1500), miss(1230, 1500)], {}, [true]],
    ['with a miss to one side', [hit(1200, 1500), miss(1170, 1500)], {}, [false]],
    ['and a pilot hole there', [hit(1200, 1500), { method: 'pilot', x: 1201, y: 1510, hit: true }], {}, [false]],
    ['and a magnet at the same height', [hit(1200, 1500), { method: 'magnet', x: 1202, y: 1500 }], {}, [false]],
    ['and a magnet at another height', [hit(1200, 1500), { method: 'magnet', x: 1202, y: 1700 }], {}, [true]],
    ['beside a dull knock', [hit(1200, 1500), { method: 'knock', x: 1202, y: 1700, dull: true }], {}, [false]],
    ['where a detector found both edges', [hit(1200, 1500), ...edges], {}, [true]],
  ] as [string, Partial<Evidence>[], Partial<Wall>, boolean[]][])(
    'proves a stud or not: %s',
    (_, readings, change, proved) => expect(provedIn(wallOf(readings, change))).toEqual(proved),
  )

  it('says nothing of a stud at the height of blocking that is known, nor does a magnet; a miss does', () => {
    const blocked = (readings: Partial<Evidence>[]) => survey(wallOf(readings, BLOCKED))
    expect(blocked([hit(1200, 1500), { method: 'magnet', x: 1200, y: 1540 }]).members).toEqual([])
    expect(blocked([hit(1200, 1500)]).findings.map(({ code }) => code)).toContain('reading-in-blocking')
    expect(provedIn(wallOf([hit(1200, 1500), hit(1200, 1700)], BLOCKED))).toEqual([false])
    expect(provedIn(wallOf([hit(1200, 1300), hit(1200, 1700)], BLOCKED))).toEqual([true])
    // Blocking that is only suspected, or in another bay, is not known there.
    expect(
      provedIn(wallOf([hit(1200, 1500), hit(1200, 1700)], { blocking: [{ id: 'k1', y: 1500, found: false }] })),
    ).toEqual([true])
    expect(
      provedIn(
        wallOf([hit(1200, 1500), hit(1200, 1700)], {
          blocking: [{ id: 'k1', y: 1500, found: true, x1: 2000, x2: 2400 }],
        }),
      ),
    ).toEqual([true])
  })

  it('asks for the next one at another height, clear of blocking, and says why', () => {
    const wall = wallOf([hit(1200, 1700)], BLOCKED)
    const { members } = survey(wall)
    const probe = nextProbe(wall, members, [{ x: 1200, y: 1650, member: 0 }])!
    expect(Math.abs(probe.y - 1700)).toBeGreaterThanOrEqual(150)
    expect(Math.abs(probe.y - 1500)).toBeGreaterThan(75)
    expect(
      provedIn({ ...wall, evidence: [...wall.evidence!, { id: 'n', ...hit(probe.x, probe.y) } as Evidence] }),
    ).toEqual([true])
  })
})
