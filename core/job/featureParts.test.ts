import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { distanceTo, featureParts, lineOf } from './featureParts'

const slanted = fc.record({
  x: fc.integer({ min: -500, max: 500 }), y: fc.integer({ min: 0, max: 2_000 }),
  width: fc.integer({ min: 1, max: 3_000 }), height: fc.integer({ min: 1, max: 3_000 }),
  slant: fc.constantFrom('rising' as const, 'falling' as const),
})

describe('a slanted cable', () => {
  it('is covered by its parts, none of which is far from it', () => {
    fc.assert(fc.property(slanted, fc.double({ min: 0, max: 1, noNaN: true }), (feature, share) => {
      const { from, to } = lineOf(feature)!
      const at = { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) }
      expect(distanceTo(feature, at)).toBeLessThan(1e-6)
      const parts = featureParts(feature)
      const holds = ({ x, y, width, height }: typeof parts[number]) =>
        at.x >= x - 1e-6 && at.x <= x + width + 1e-6 && at.y >= y - 1e-6 && at.y <= y + height + 1e-6
      expect(parts.some(holds)).toBe(true)
      for (const { x, y, width, height } of parts) {
        expect(Math.max(width, height)).toBeLessThanOrEqual(50)
        expect(distanceTo(feature, { x: x + width / 2, y: y + height / 2 })).toBeLessThan(1e-6)
      }
    }))
  })

  it('is as far from a place as the nearest of many points of its line, and leaves its corners free', () => {
    const place = fc.record({ x: fc.integer({ min: -900, max: 4_000 }), y: fc.integer({ min: -500, max: 5_500 }) })
    fc.assert(fc.property(slanted, place, (feature, at) => {
      const { from, to } = lineOf(feature)!
      const tried = Array.from({ length: 2_001 }, (_, n) =>
        Math.hypot(at.x - from.x - n / 2_000 * (to.x - from.x), at.y - from.y - n / 2_000 * (to.y - from.y)))
      expect(Math.abs(distanceTo(feature, at) - Math.min(...tried))).toBeLessThan(2.2)
    }), { numRuns: 40 })
    const rising = { x: 1_000, y: 500, width: 800, height: 600, slant: 'rising' as const }
    // From its free upper left corner: 800 × 600 ÷ 1000.
    expect(distanceTo(rising, { x: 1_000, y: 1_100 })).toBeCloseTo(480, 6)
    expect(distanceTo({ ...rising, slant: undefined }, { x: 1_000, y: 1_100 })).toBe(0)
  })
})
