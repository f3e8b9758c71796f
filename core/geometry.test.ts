import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { centreOf, meets, nearestIn, overlaps, type Rect } from './geometry'

const mm = fc.double({ min: -5_000, max: 5_000, noNaN: true })
const rect = fc.record({
  x: mm,
  y: mm,
  width: fc.double({ min: 1, max: 900, noNaN: true }),
  height: fc.double({ min: 1, max: 900, noNaN: true }),
})

describe('stretches of a wall', () => {
  it('meet when they share a point', () => {
    expect(meets({ from: 0, to: 10 }, { from: 10, to: 20 })).toBe(true)
    expect(meets({ from: 0, to: 10 }, { from: 10.001, to: 20 })).toBe(false)
    expect(meets({ from: 5, to: 4 }, { from: 0, to: 10 })).toBe(false)
  })

  it('have a nearest point that no other point of theirs beats', () => {
    fc.assert(
      fc.property(
        mm,
        fc.double({ min: 0, max: 900, noNaN: true }),
        mm,
        fc.double({ min: 0, max: 1, noNaN: true }),
        (from, length, x, share) => {
          const nearest = nearestIn({ from, to: from + length }, x)
          expect(nearest).toBeGreaterThanOrEqual(from)
          expect(nearest).toBeLessThanOrEqual(from + length)
          expect(Math.abs(nearest - x)).toBeLessThanOrEqual(Math.abs(from + share * length - x) + 1e-9)
        },
      ),
    )
  })
})

describe('rectangles', () => {
  it('that only touch do not overlap', () => {
    const a: Rect = { x: 0, y: 0, width: 10, height: 10 }
    expect(overlaps(a, { ...a, x: 10 })).toBe(false)
    expect(overlaps(a, { ...a, x: 9.99 })).toBe(true)
    expect(overlaps(a, { ...a, y: -10 })).toBe(false)
  })

  it('overlap both ways or neither, and overlap when one’s centre is in the other', () => {
    fc.assert(fc.property(rect, rect, (a, b) => {
      expect(overlaps(a, b)).toBe(overlaps(b, a))
      const { x, y } = centreOf(b)
      if (x > a.x && x < a.x + a.width && y > a.y && y < a.y + a.height) expect(overlaps(a, b)).toBe(true)
    }))
  })
})
