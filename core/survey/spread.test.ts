import { describe, expect, it } from 'vitest'
import type { Evidence, Wall } from '../job'
import { survey } from '.'
import { mapFraming } from './framing'
import { chance } from './simulatedReadings'
import { signsOf } from './sign'
import { spreadOf } from './spread'

const CENTRES = Array.from({ length: 12 }, (_, n) => 300 + 400 * n)
/** Edges of twelve studs by a detector of this σ, with two nails in every third, drawn apart from the simulator. */
function readings(sigma: number, seed: number, { sweeps = 1, aside = 0 } = {}): Evidence[] {
  const { off } = chance(seed)
  return CENTRES.flatMap((centre, stud) => [
    ...Array.from({ length: sweeps }, (_, k) =>
      (['left', 'right'] as const).map(edge => ({
        id: `e${stud}-${k}-${edge}`,
        method: 'detector-edge' as const,
        edge,
        y: 1200 + 300 * k,
        x: centre + (edge === 'left' ? -19 : 19) + aside + off(sigma),
      })),
    ).flat(),
    ...(stud % 3 === 0
      ? [-14, 14].map(by => ({
          id: `p${stud}${by}`,
          method: 'probe' as const,
          x: centre + by,
          y: 1200 + by,
          hit: true,
        }))
      : []),
  ])
}
const wall = (evidence: Evidence[]): Wall => ({
  id: 'w',
  name: 'W',
  width: 5200,
  height: 2700,
  covering: [{ material: 'gypsum-board', thickness: 12.5 }],
  arrays: [],
  structure: { kind: 'wood-stud', memberWidth: 38, memberDepth: 90, specificGravity: 0.42 },
  evidence,
})
const spread = (evidence: Evidence[]) => spreadOf(signsOf(wall(evidence)), 38)
const seeds = Array.from({ length: 40 }, (_, n) => n + 1)
const average = (values: number[]) => values.reduce((a, b) => a + b) / values.length

describe('how far the readings of a detector spread', () => {
  it('is as the error model says where nothing tells', () => {
    expect(spread([])).toBe(1)
    expect(spread(readings(3, 1).filter(({ edge }) => edge === 'left'))).toBe(1)
  })

  it('is learned from how well the widths agree: near what it is, for good surveyors and bad ones', () => {
    for (const [sigma, low, high] of [
      [1, 0.3, 0.6],
      [3, 0.85, 1.2],
      [6, 1.45, 2.1],
    ] as const) {
      const found = average(seeds.map(seed => spread(readings(sigma, seed))))
      expect(found, `σ ${sigma}`).toBeGreaterThan(low)
      expect(found, `σ ${sigma}`).toBeLessThan(high)
    }
  })

  it('is not what all readings of a detector share', () => {
    expect(spread(readings(2, 5, { aside: 5 }))).toBeCloseTo(spread(readings(2, 5)), 6)
  })

  it('is learned from sweeps that differ, and less from sweeps that agree', () => {
    const sweep = (by: number): Evidence[] =>
      CENTRES.flatMap((x, n) =>
        [-by, 0, by].map((off, k) => ({
          id: `s${n}-${k}`,
          method: 'detector-edge' as const,
          edge: 'left' as const,
          x: x + off,
          y: 1200,
        })),
      )
    expect(spread(sweep(7))).toBeGreaterThan(1.6)
    expect(spread(sweep(0))).toBeGreaterThan(0.5)
  })

  it('narrows and widens the intervals, which hold the true centres as often as they say', () => {
    const observed = (sigma: number) =>
      seeds
        .flatMap(seed => mapFraming(wall(readings(sigma, seed))).members)
        .filter(({ source }) => source === 'observed')
    for (const sigma of [1, 3, 6]) {
      const known = observed(sigma)
      const inside = known.filter(({ centre, sd }) => CENTRES.some(stud => Math.abs(stud - centre) < 1.96 * sd))
      expect(inside.length / known.length, `σ ${sigma}`).toBeGreaterThan(0.92)
    }
    const sd = (sigma: number) => average(observed(sigma).map(({ sd }) => sd))
    expect(sd(1)).toBeLessThan(0.85 * sd(3))
    expect(sd(6)).toBeGreaterThan(1.15 * sd(3))
  })

  it('is told where it is bad', () => {
    const codes = (sigma: number) => survey(wall(readings(sigma, 3))).findings.map(({ code }) => code)
    expect(codes(7)).toContain('detector-spreads')
    expect(codes(3)).not.toContain('detector-spreads')
  })
})
