import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Interval } from '../../geometry'
import { bestPath, legsOf, momentByPaths, type Load } from './crewPaths'
import { cases } from '../../../tests/fixtures/soak'

const daily = (from: number, to: number, days = 20): Interval[] =>
  Array.from({ length: days }, (_, day) => ({ from: day * 1_440 + from, to: day * 1_440 + to }))
const load = (site: string, minutes: number, ...times: Interval[][]): Load => ({ sites: [site], minutes, times })
const way = (minutes: number) => (from: string, to: string) => from === to ? 0 : minutes

/** The most that is earned by a moment, by what stands a minute before: at each place, and on each way so far on. */
function byTheMinute(times: Interval[][], travel: number[][], prices: number[], moment: number): number {
  const at = times.map(() => [0])
  for (let m = 1; m <= moment; m++) {
    for (const [here, open] of times.entries()) {
      const isOpen = open.some(({ from, to }) => from < m && m <= to)
      const stays = at[here]![m - 1]! + (isOpen ? prices[here]! : 0)
      at[here]!.push(stays)
    }
    for (let round = 0; round < times.length; round++)
      for (const here of times.keys())
        for (const from of times.keys()) {
          const left = m - travel[from]![here]!
          if (from !== here && left >= 0) at[here]![m] = Math.max(at[here]![m]!, at[from]![left]!)
        }
  }
  return Math.max(...at.map(each => each[moment]!))
}

const windows = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 30 })), { minLength: 1, maxLength: 4 })
  .map((gaps) => {
    let now = -1
    return gaps.map(([shut, open]): Interval => {
      const from = now + shut
      now = from + open
      return { from, to: now }
    })
  })

describe('the most a crew can do at several sites', () => {
  it('is what going over it minute by minute finds, for any prices', () => {
    fc.assert(
      fc.property(
        fc.array(windows, { minLength: 2, maxLength: 3 }),
        fc.integer({ min: 0, max: 12 }),
        fc.integer({ min: 0, max: 12 }),
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 3, maxLength: 3 }),
        fc.integer({ min: 1, max: 120 }),
        (times, there, back, prices, moment) => {
          const ways = times.map((_, a) => times.map((_, b) => (a === b ? 0 : a < b ? there : back)))
          const found = bestPath(
            times,
            legsOf(times, (a, b) => ways[a]![b]!, 0, 200),
            prices,
            moment,
          )
          expect(found.worth).toBe(byTheMinute(times, ways, prices, moment))
          expect(found.minutes.reduce((sum, minutes, n) => sum + prices[n]! * minutes, 0)).toBe(found.worth)
        },
      ),
      { numRuns: cases(400) },
    )
  })
})

describe('the moment before which work at several sites cannot be done', () => {
  it('counts the hours that a crew stands before a closed site, or is on the way to it', () => {
    // From 7:30 to 16:30, an early site all day, a late one from 9:00. Ten days see the late one done, with three
    // quarters of an hour at the early one before it and as much on the way; an eleventh what is left of the early one.
    const loads = [load('early', 45 * 10 + 540, daily(0, 540)), load('late', 4_500, daily(90, 540))]
    expect(momentByPaths(loads, way(45), 0, 0, 20 * 1_440)).toBeGreaterThan(10 * 1_440 + 540 - 10)
    expect(momentByPaths(loads, way(45), 0, 0, 20 * 1_440)).toBeLessThanOrEqual(10 * 1_440 + 540)
    // With no way between them the hour and a half before the late one opens is all of use: 5 490 minutes in days of
    // 540.
    expect(momentByPaths(loads, way(0), 0, 0, 20 * 1_440)).toBeLessThanOrEqual(10 * 1_440 + 90)
    // So long a way that nobody goes twice in a day: twelve days.
    expect(momentByPaths(loads, way(90), 0, 0, 20 * 1_440)).toBeGreaterThan(11 * 1_440 + 440)
  })

  it('is never later than any way of doing it', () => {
    fc.assert(
      fc.property(
        fc.array(windows, { minLength: 2, maxLength: 3 }),
        fc.integer({ min: 0, max: 15 }),
        fc.array(fc.tuple(fc.integer({ min: 0, max: 2 }), fc.integer({ min: 1, max: 40 })), {
          minLength: 1,
          maxLength: 8,
        }),
        (times, minutes, steps) => {
          let [now, here] = [0, steps[0]![0] % times.length]
          const done = times.map(() => 0)
          for (const [to, stay] of steps) {
            if (to % times.length !== here) now += minutes
            here = to % times.length
            for (let m = now; m < now + stay; m++)
              if (times[here]!.some(({ from, to }) => from <= m && m < to)) done[here]!++
            now += stay
          }
          expect(
            momentByPaths(
              times.map((each, n) => load(String(n), done[n]!, each)),
              way(minutes),
              0,
              0,
              1_000,
            ),
          ).toBeLessThanOrEqual(now)
        },
      ),
      { numRuns: cases(300) },
    )
  })

  it('is when the last of it is just done, where all that can be done is just enough, whatever prices round to', () => {
    // Six minutes at one until it closes, five on the way, and six at another in what is left of its windows.
    const loads = [
      load('a', 0, [{ from: 0, to: 1 }]),
      load('b', 6, [{ from: 0, to: 6 }]),
      load('c', 6, [
        { from: 0, to: 11 },
        { from: 12, to: 13 },
        { from: 14, to: 19 },
      ]),
    ]
    expect(momentByPaths(loads, way(5), 0, 0, 1_000)).toBeLessThanOrEqual(19)
  })

  it('is as far as it is looked where all that can be done there is too little, and what is known for one load', () => {
    expect(momentByPaths([load('a', 6_000, daily(0, 60)), load('b', 10, daily(0, 60))], way(45), 0, 0, 5_000)).toBe(
      5_000,
    )
    expect(momentByPaths([load('a', 60, daily(0, 600))], way(45), 0, 7, 5_000)).toBe(7)
  })
})
