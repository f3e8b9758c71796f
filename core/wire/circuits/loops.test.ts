import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cases } from '../../../tests/fixtures/soak'
import { branched, chained, inOrderOf, type Distances, type Feeding } from './loops'

const within = (n: number) => fc.array(fc.integer({ min: 1, max: 9000 }), { minLength: n, maxLength: n })
/** Distances in the plane, or any at all, there and back unlike each other. */
const distances = (n: number): fc.Arbitrary<Distances> => fc.oneof(
  fc.array(fc.tuple(fc.integer({ min: 0, max: 9000 }), fc.integer({ min: 0, max: 3000 })), {
    minLength: n, maxLength: n,
  }).map(points => ({
    home: points.map(([x, y]) => x + y + 14_000),
    between: points.map(([x, y]) => points.map(([a, b]) => Math.abs(x - a) + Math.abs(y - b))),
  })),
  fc.record({ home: within(n), between: fc.array(within(n), { minLength: n, maxLength: n }) }),
)
const lengthOf = ({ home, between }: Distances, feeding: Feeding) =>
  feeding.reduce<number>((sum, before, box) => sum + (before === undefined ? home[box]! : between[before]![box]!), 0)

/** Every order of some numbers. */
function* ordersOf(list: number[]): Generator<number[]> {
  if (list.length === 0) yield []
  for (const each of list)
    for (const rest of ordersOf(list.filter(other => other !== each))) yield [each, ...rest]
}
/** The shortest chain by trying every order. */
function shortest({ home, between }: Distances): number {
  let best = Infinity
  for (const order of ordersOf([...home.keys()]))
    best = Math.min(best, order.slice(1).reduce((sum, box, n) => sum + between[order[n]!]![box]!, home[order[0]!]!))
  return best
}
/** The least tree that hangs on the nearest box, by joining the nearest first (Kruskal). */
function leastTree({ home, between }: Distances): number {
  const group = home.map((_, n) => n)
  const pairs = between.flatMap((row, a) => row.map((length, b) => ({ a, b, length })))
    .filter(({ a, b }) => a < b).sort((p, q) => p.length - q.length)
  let sum = Math.min(...home)
  for (const { a, b, length } of pairs) {
    if (group[a] === group[b]) continue
    const [kept, gone] = [group[a]!, group[b]!]
    group.forEach((each, n) => { if (each === gone) group[n] = kept })
    sum += length
  }
  return sum
}

describe('boxes of one circuit', () => {
  it('42 m away are fed by one home run and two legs, not by three home runs', () => {
    const far = { home: [42_000, 43_000, 44_000], between: [[0, 1000, 2000], [1000, 0, 1000], [2000, 1000, 0]] }
    expect(chained(far)).toEqual([undefined, 0, 1])
    expect(inOrderOf(chained(far))).toEqual([0, 1, 2])
  })

  it('are chained in as little cable as any order takes, up to nine of them', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 7 }).chain(distances), (given) => {
      const feeding = chained(given)
      expect(lengthOf(given, feeding)).toBeCloseTo(shortest(given), 6)
      expect(feeding.filter(before => before === undefined)).toHaveLength(1)
      expect(new Set(feeding.filter(before => before !== undefined)).size).toBe(given.home.length - 1)
    }), { numRuns: cases(60) })
    const [nine] = fc.sample(distances(9), { numRuns: 1, seed: 36 })
    expect(lengthOf(nine!, chained(nine!))).toBeCloseTo(shortest(nine!), 6)
  })

  it('beyond eleven are one chain all the same, on a line the straight one', () => {
    const at = [8, 3, 14, 0, 5, 11, 2, 9, 13, 1, 6, 12, 4, 10, 7].map(n => n * 1000)
    const given = { home: at.map(x => x + 5000), between: at.map(x => at.map(y => Math.abs(x - y))) }
    expect(lengthOf(given, chained(given))).toBe(5000 + 14_000)
    expect(inOrderOf(chained(given)).map(n => at[n])).toEqual([...at].sort((a, b) => a - b))
  })

  it('are a tree of as little cable as any where the electrician wants one', () => {
    const even = fc.integer({ min: 1, max: 9 }).chain(n => distances(n))
      .filter(({ between }) => between.every((row, a) => row.every((length, b) => length === between[b]![a])))
    fc.assert(fc.property(even, (given) => {
      expect(lengthOf(given, branched(given))).toBeCloseTo(leastTree(given), 6)
    }), { numRuns: cases(60) })
  })

  it('get another home run only where no way leads on to them', () => {
    const [none, between] = [Infinity, [[0, 500, Infinity], [500, 0, Infinity]]]
    const parted = { home: [1000, 1500, 9000], between: [...between, [none, none, 0]] }
    expect([chained(parted), branched(parted)]).toEqual([[undefined, 0, undefined], [undefined, 0, undefined]])
    expect(chained({ home: [Infinity], between: [[0]] })).toEqual([undefined])
  })
})
