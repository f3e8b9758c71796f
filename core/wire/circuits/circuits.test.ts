import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { costOf, packCircuits, spreadOf, type Feed, type Packing } from './circuits'
import { ampsOf, heatOf, shareOf, type Load } from './draw'
import { cases } from '../../../tests/fixtures/soak'

const load = (n: number, max: number, column = n): Load => ({
  screen: `s${n}`,
  x: column * 1000,
  y: 0,
  label: `C${n}`,
  power: { typical: max * 0.7, max },
})
const feed = (id: string, amps: number, loaded = 0, volts = 230): Feed => ({ id, amps, volts, loaded })

/**
 * Every way of giving each screen to a circuit or to none, written apart from the code: the least cost of those that
 * keep the rule.
 */
function bruteForce(loads: Load[], feeds: Feed[]): [number, number, number] {
  let best: [number, number, number] = [Infinity, 0, 0]
  const choice = loads.map(() => 0)
  for (;;) {
    const fed = feeds.map((_, k) => loads.filter((_, n) => choice[n] === k + 1))
    if (
      fed.every(
        (those, k) =>
          those.length === 0
          || feeds[k]!.loaded
          + those.reduce((sum, { power }) => sum + power!.max / feeds[k]!.volts / (power!.factor ?? 1), 0)
          <= 0.8 * feeds[k]!.amps + 1e-9,
      )
    ) {
      const cost = costOf({ fed, left: loads.filter((_, n) => choice[n] === 0) })
      const worse = cost.findIndex((value, n) => Math.abs(value - best[n]!) > 1e-6)
      if (worse >= 0 && cost[worse]! < best[worse]!) best = cost
    }
    let at = 0
    while (at < choice.length && choice[at] === feeds.length) choice[at++] = 0
    if (at === choice.length) return best
    choice[at]!++
  }
}
const idsOf = ({ fed }: Packing) => fed.map(those => those.map(({ screen }) => screen))

describe('the current of screens', () => {
  it('is told with what is on the circuit, as a share of the breaker', () => {
    // 3 × 165 W at 230 V: 2.152 A; with 4 A on it 6.152 A of 16 A.
    const share = shareOf([1, 2, 3].map(n => load(n, 165)), feed('a', 16, 4))
    expect([share.working[0]!.value.toFixed(3), share.working[1]!.value.toFixed(3), share.value.toFixed(2)]).toEqual([
      '2.152',
      '6.152',
      '38.45',
    ])
    // 165 W at a power factor of 0.9 on 120 V: 1.528 A.
    expect(ampsOf({ typical: 118, max: 165, factor: 0.9 }, 120)).toBeCloseTo(1.5278, 4)
  })

  it('is heat in the room: 9 screens of 118 W give 1062 W, or 3620 BTU/h to three figures', () => {
    const screens = Array.from({ length: 9 }, (_, n) => ({ ...load(n, 165), power: { typical: 118, max: 165 } }))
    expect(heatOf(screens)).toMatchObject({ value: 1062, unit: 'W' })
    expect(heatOf(screens, 'imperial')).toMatchObject({ value: 3620, unit: 'BTU/h' })
  })
})

describe('circuits', () => {
  it('hold 80 % of their breaker with what is on them: at 120 V and 15 A eight screens of 165 W, and seven beside 2 A', () => {
    const nine = Array.from({ length: 9 }, (_, n) => load(n, 165))
    expect(packCircuits(nine, [feed('a', 15, 0, 120)]).left).toHaveLength(1)
    expect(packCircuits(nine, [feed('a', 15, 2, 120)]).left).toHaveLength(2)
    expect(packCircuits(nine, [feed('a', 15, 12, 120)]).left).toHaveLength(9)
  })

  it('are as few as can be, and neighbours stay together', () => {
    // 6 A of room in each: three of 460 W (2 A) each.
    const six = [0, 1, 2, 3, 4, 5].map(n => load(n, 460))
    expect(
      idsOf(packCircuits(six, [feed('a', 7.5), feed('b', 7.5), feed('c', 7.5)]))
        .filter(({ length }) => length > 0)
        .map(those => those.join(' '))
        .sort(),
    ).toEqual(['s0 s1 s2', 's3 s4 s5'])
  })

  it('equal a search through every way of sharing out, for up to six screens on three circuits', () => {
    const loads = fc
      .array(fc.record({ max: fc.constantFrom(100, 165, 300, 460, 900), column: fc.nat(5), row: fc.nat(2) }), {
        maxLength: 6,
      })
      .map(list => list.map(({ max, column, row }, n): Load => ({ ...load(n, max, column), y: row * 600 })))
    const feeds = fc
      .array(
        fc.record({
          amps: fc.constantFrom(6, 10, 16),
          volts: fc.constantFrom(120, 230),
          loaded: fc.constantFrom(0, 2, 5),
        }),
        { minLength: 1, maxLength: 3 },
      )
      .map(list => list.map((each, n): Feed => ({ id: `c${n}`, ...each })))
    fc.assert(fc.property(loads, feeds, (loads, feeds) => {
      const packing = packCircuits(loads, feeds)
      expect([...packing.fed.flat(), ...packing.left]).toHaveLength(loads.length)
      const [cost, best] = [costOf(packing), bruteForce(loads, feeds)]
      for (const n of [0, 1, 2]) expect(cost[n]).toBeCloseTo(best[n]!, 6)
    }), { numRuns: cases(150) })
  })

  it('of more than twelve screens keep the rule, and leave none that a circuit has room for', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(98, 165, 400, 700), { minLength: 13, maxLength: 60 }),
        fc.array(fc.constantFrom(10, 16, 20), { minLength: 1, maxLength: 8 }),
        (watts, amps) => {
          const [loads, feeds] = [
            watts.map((max, n) => load(n, max)),
            amps.map((each, n) => feed(`c${n}`, each, n % 3)),
          ]
          const { fed, left } = packCircuits(loads, feeds)
          expect([...fed.flat(), ...left]).toHaveLength(loads.length)
          const current = (those: Load[]) => those.reduce((sum, { power }) => sum + power!.max / 230, 0)
          fed.forEach((those, k) =>
            expect(current(those) + feeds[k]!.loaded).toBeLessThanOrEqual(
              0.8 * feeds[k]!.amps + 1e-9 + (those.length === 0 ? 99 : 0),
            ),
          )
          for (const each of left)
            fed.forEach((those, k) =>
              expect(current([...those, each]) + feeds[k]!.loaded).toBeGreaterThan(0.8 * feeds[k]!.amps),
            )
        },
      ),
      { numRuns: cases(60) },
    )
  })

  it('tell how far their screens are apart', () => {
    expect([
      spreadOf([]),
      spreadOf([{ x: 0, y: 0 }]),
      spreadOf([
        { x: 0, y: 0 },
        { x: 1000, y: 500 },
      ]),
    ]).toEqual([0, 0, 1500])
  })
})
