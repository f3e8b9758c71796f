import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { foldTime } from './fold'

const DAY = 1_440
const works = [{ from: 480, to: 960 }, { from: DAY + 480, to: DAY + 960 }, { from: 2 * DAY + 1_320, to: 3 * DAY + 120 }]

describe('time that is folded', () => {
  it('shows only the hours at which somebody works, one after the other', () => {
    const { stretches, width, x } = foldTime(0, 4 * DAY, works, 0.5)
    expect(stretches.map(({ from, to, x, width }) => [from, to, x, width])).toEqual([
      [480, 960, 0, 240],
      [DAY + 480, DAY + 960, 254, 240],
      [2 * DAY + 1_320, 3 * DAY + 120, 508, 120],
    ])
    expect(width).toBe(628)
    expect(x(720)).toBe(120)
    // In the fold between two days there is no place of its own.
    expect(x(1_200)).toBe(247)
    expect(x(0)).toBe(0)
  })

  it('does not fold a short break, and cuts off what lies outside', () => {
    expect(foldTime(0, DAY, [{ from: 480, to: 720 }, { from: 760, to: 960 }], 1).stretches).toHaveLength(1)
    expect(foldTime(600, 700, works, 1).stretches.map(({ from, to }) => [from, to])).toEqual([[600, 700]])
    expect(foldTime(0, 100, works, 1)).toMatchObject({ stretches: [], width: 0 })
    expect(foldTime(0, 100, [], 1).minute(50)).toBe(0)
  })

  it('leads from a minute to its place and back, wherever somebody works', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        (n, share, scale) => {
          const folded = foldTime(0, 4 * DAY, works, scale)
          const minute = works[n]!.from + share * (works[n]!.to - works[n]!.from)
          expect(folded.minute(folded.x(minute))).toBeCloseTo(minute, 6)
        },
      ),
    )
  })

  it('never goes back as time goes on', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 4 * DAY }), fc.integer({ min: 0, max: 4 * DAY }), (a, b) => {
      const { x } = foldTime(0, 4 * DAY, works, 0.7)
      expect(x(Math.max(a, b))).toBeGreaterThanOrEqual(x(Math.min(a, b)))
    }))
  })
})
