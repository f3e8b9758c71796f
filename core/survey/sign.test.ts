import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { studWall } from '../../tests/fixtures/walls'
import type { Evidence } from '../job'
import { normalCdf } from './normal'
import { bearing, belongs, likelihoodRatio, pointsTo, signsOf, type Sign } from './sign'

const sign = (reading: Partial<Evidence>): Sign => signsOf(studWall([{ x: 1200, ...reading }]))[0]!
const FOR: Partial<Evidence>[] = [
  { method: 'detector-edge', edge: 'left' },
  { method: 'detector-edge', edge: 'right' },
  { method: 'detector-centre' },
  { method: 'magnet' },
  { method: 'probe', hit: true },
  { method: 'pilot', hit: true },
  { method: 'knock', dull: true },
  { method: 'seen' },
  { method: 'outlet' },
]
const AGAINST: Partial<Evidence>[] = [
  { method: 'probe', hit: false },
  { method: 'pilot', hit: false },
  { method: 'knock', dull: false },
]

describe('the normal distribution', () => {
  it('has its known shares', () => {
    for (const [z, share] of [
      [0, 0.5],
      [1, 0.8413447],
      [1.645, 0.9500151],
      [1.96, 0.9750021],
      [3, 0.9986501],
    ] as const) {
      expect(normalCdf(z)).toBeCloseTo(share, 6)
      expect(normalCdf(-z)).toBeCloseTo(1 - share, 6)
    }
  })
})

describe('a sign that speaks for a member', () => {
  it.each(FOR)('$method makes one likelier where it points, and nowhere unlikelier', (reading) => {
    fc.assert(fc.property(fc.double({ min: 900, max: 1500, noNaN: true }), (centre) => {
      expect(likelihoodRatio(sign(reading), 38)(centre)).toBeGreaterThanOrEqual(1)
      expect(likelihoodRatio(sign(reading), 38)(centre)).toBeLessThanOrEqual(
        likelihoodRatio(sign(reading), 38)(pointsTo(sign(reading), 38)) + 1e-9,
      )
    }))
  })

  it.each(FOR)('$method bears on nothing farther off than it says', (reading) => {
    const its = sign(reading)
    for (const width of [38, 76]) for (const side of [-1, 1]) {
      expect(belongs(its, pointsTo(its, width) + side * (bearing(its, width) + 0.5), width)).toBeLessThan(0.02)
    }
  })

  it('is most likely its member’s where it points: all but knocks and boxes for certain', () => {
    for (const reading of FOR) {
      const its = belongs(sign(reading), pointsTo(sign(reading), 38), 38)
      expect(its, reading.method).toBeGreaterThan(['knock', 'outlet'].includes(reading.method!) ? 0.9 : 0.98)
    }
  })

  it('has the density of a distribution: over all places it adds up to one', () => {
    for (const reading of FOR.filter(({ method }) => !['probe', 'pilot'].includes(method!))) {
      const its = sign(reading)
      const falseRate = (likelihoodRatio(its, 38)(pointsTo(its, 38)) - 1) / peak(reading)
      let sum = 0
      for (let centre = 900; centre <= 1500; centre += 0.1)
        sum += (0.1 * (likelihoodRatio(its, 38)(centre) - 1)) / falseRate
      expect(sum, reading.method).toBeCloseTo(1, 2)
    }
  })
})

/** Highest density, for each mm, of a sign: 1 ÷ (σ √2π) of a normal one, 1 ÷ the face within its strips of a screw. */
function peak({ method }: Partial<Evidence>): number {
  const sigma = { 'detector-edge': 3, 'detector-centre': 6, 'seen': 1.5, 'knock': 25, 'outlet': 30 }[method as string]
  return sigma === undefined ? 1 / 26 : 1 / (sigma * Math.sqrt(2 * Math.PI))
}

describe('a sign that speaks against one', () => {
  it.each(AGAINST)('$method makes a member there less likely, and none far away', (reading) => {
    expect(likelihoodRatio(sign(reading), 38)(1200)).toBeLessThan(reading.method === 'knock' ? 0.4 : 0.01)
    expect(likelihoodRatio(sign(reading), 38)(1500)).toBeCloseTo(1, 3)
    expect(sign(reading).speaksFor).toBe(false)
  })
})

describe('the signs of a wall', () => {
  it('leave out joints, what was set aside, and what nothing carries over', () => {
    const wall = studWall([
      { method: 'joint', direction: 'head', x: 1 }, { method: 'magnet', x: 2, setAside: 'a nail' },
      { method: 'magnet', x: 3, side: 'back' }, { method: 'magnet', x: 4 },
    ])
    expect(signsOf(wall).map(({ x }) => x)).toEqual([4])
  })

  it('come over from behind mirrored, edges changing sides', () => {
    const [edge] = signsOf(
      studWall([{ method: 'detector-edge', edge: 'left', x: 100, side: 'back' }], {
        references: [{ id: 'r', front: 2000, back: 300 }],
      }),
    )
    expect(edge).toMatchObject({ x: 2200, carriedBy: 'r', reading: { edge: 'right' } })
    // The left edge of a 38 mm stud behind at 100 is its right edge on the front, so its centre is 19 to the left.
    expect(pointsTo(edge!, 38)).toBe(2181)
  })
})
