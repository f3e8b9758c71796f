import fc from 'fast-check'
import { expect, it } from 'vitest'
import { coveredAtLeast, liesIn, subtract, union } from './intervals'

const stretch = fc
  .tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 20 }))
  .map(([from, length]) => ({ from, to: from + length }))
const set = fc.array(stretch, { maxLength: 4 }).map(union)

it('finds what lies in so many sets, as counting at every place does', () => {
  fc.assert(
    fc.property(fc.array(set, { minLength: 1, maxLength: 5 }), fc.integer({ min: 1, max: 5 }), (sets, times) => {
      const found = coveredAtLeast(times, sets)
      for (let x = -0.5; x < 82; x += 0.5) {
        const count = sets.filter(set => set.some(each => liesIn(each, x))).length
        expect(found.some(each => liesIn(each, x))).toBe(count >= times)
      }
      found.slice(1).forEach(({ from }, n) => expect(from).toBeGreaterThan(found[n]!.to))
    }),
  )
})

it('takes stretches away but for their ends', () => {
  expect(subtract([{ from: 0, to: 10 }], [{ from: 3, to: 5 }])).toEqual([{ from: 0, to: 3 }, { from: 5, to: 10 }])
  expect(subtract([{ from: 0, to: 10 }], [{ from: -5, to: 15 }])).toEqual([])
  expect(
    subtract(
      [
        { from: 0, to: 4 },
        { from: 6, to: 8 },
      ],
      [{ from: 4, to: 6 }],
    ),
  ).toEqual([
    { from: 0, to: 4 },
    { from: 6, to: 8 },
  ])
})
