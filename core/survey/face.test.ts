import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { reliefOf, standsOut, takeUp } from './relief'

const grid = (distance: (x: number, y: number) => number) =>
  [0, 1000, 2000, 3000].flatMap(x => [300, 1300, 2300].map(y => ({ x, y, distance: distance(x, y) })))

describe('the relief of a face', () => {
  it('finds the plane that a flat wall lies in, however it leans and turns', () => {
    const small = fc.double({ min: -0.02, max: 0.02, noNaN: true })
    fc.assert(fc.property(small, small, fc.double({ min: 50, max: 500, noNaN: true }), (along, up, from) => {
      const relief = reliefOf(grid((x, y) => from - along * x - up * y))!
      expect(relief.plane.along).toBeCloseTo(along, 9)
      expect(relief.plane.up).toBeCloseTo(up, 9)
      expect(relief.flatness).toBeLessThan(1e-6)
    }))
  })

  it('shows what stands out of it, and how far the adjusters must reach', () => {
    const relief = reliefOf(grid((x, y) => x === 1000 && y === 1300 ? 144 : 150))!
    expect(relief.highest).toMatchObject({ x: 1000, y: 1300 })
    expect(relief.flatness).toBeGreaterThan(5)
    expect(relief.flatness).toBeLessThan(6.5)
    expect(takeUp(relief, [{ x: 1000, y: 1300 }, { x: 3000, y: 300 }])).toBeCloseTo(6, 0)
    expect(takeUp(relief, [{ x: 1000, y: 1300 }])).toBe(0)
    expect(takeUp(relief, [])).toBe(0)
  })

  it('counts a wall that leans against plates that must hang upright', () => {
    const relief = reliefOf(grid((_, y) => 150 - 0.004 * y))!
    expect(takeUp(relief, [{ x: 500, y: 300 }, { x: 500, y: 2300 }])).toBeCloseTo(8, 1)
    expect(standsOut(relief, 500, 2300) - standsOut(relief, 500, 300)).toBeCloseTo(8, 1)
  })

  it('is not known from too few points, or points in one line', () => {
    expect(reliefOf([{ x: 0, y: 0, distance: 1 }, { x: 1, y: 1, distance: 1 }])).toBeUndefined()
    expect(reliefOf([0, 1000, 2000, 3000].map(x => ({ x, y: 2 * x, distance: 5 })))).toBeUndefined()
  })
})
