import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cases } from '../../../tests/fixtures/soak'
import { inTheWay, nearestPlace, type Obstacle } from './place'

describe('the nearest place', () => {
  const rect = fc.record({
    x: fc.integer({ min: 0, max: 60 }),
    y: fc.integer({ min: 0, max: 60 }),
    width: fc.integer({ min: 1, max: 30 }),
    height: fc.integer({ min: 1, max: 30 }),
  })
  it('is as near as any on a fine grid, clear of everything, and is missing only where the grid has none', () => {
    fc.assert(
      fc.property(
        fc.array(rect, { minLength: 1, maxLength: 3 }),
        fc.array(rect, { maxLength: 4 }),
        fc.record({ x: fc.integer({ min: 0, max: 90 }), y: fc.integer({ min: 0, max: 90 }) }),
        fc.constantFrom({ width: 4, height: 6 }, { width: 10, height: 10 }),
        (rooms, rects, wanted, size) => {
          const obstacles: Obstacle[] = rects.map((each, n) => ({ ...each, name: `o${n}` }))
          const clear = (x: number, y: number) =>
            rooms.some(
              room =>
                x - size.width / 2 >= room.x
                && x + size.width / 2 <= room.x + room.width
                && y - size.height / 2 >= room.y
                && y + size.height / 2 <= room.y + room.height,
            )
            && rects.every(
              each =>
                x + size.width / 2 <= each.x
                || x - size.width / 2 >= each.x + each.width
                || y + size.height / 2 <= each.y
                || y - size.height / 2 >= each.y + each.height,
            )
          let least = Infinity
          for (let x = 0; x <= 90; x++)
            for (let y = 0; y <= 90; y++)
              if (clear(x, y)) least = Math.min(least, Math.hypot(x - wanted.x, y - wanted.y))
          const found = nearestPlace(wanted, size, rooms, obstacles)
          expect(found === undefined).toBe(least === Infinity)
          if (!found) return
          expect(clear(found.x, found.y)).toBe(true)
          expect(Math.hypot(found.x - wanted.x, found.y - wanted.y)).toBeLessThanOrEqual(least + 1e-9)
        },
      ),
      { numRuns: cases(150) },
    )
  })

  it('touches what stands in the way and does not run into it', () => {
    expect(
      inTheWay({ x: 10, y: 10 }, { width: 4, height: 4 }, [
        { x: 12, y: 0, width: 5, height: 30, name: 'a' },
        { x: 11.9, y: 0, width: 5, height: 30, name: 'b' },
      ]).map(({ name }) => name),
    ).toEqual(['b'])
  })
})
