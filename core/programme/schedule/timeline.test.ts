import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LEAST_SPAN, spansFrom, Timeline } from './timeline'
import { minutesUntil, momentWhenDone, openAnywhere, openTogether, without } from '../windows'

const day = [{ from: 480, to: 720 }, { from: 780, to: 960 }, { from: 1_920, to: 2_400 }]
const sum = (spans: { from: number, to: number }[] = []) => spans.reduce((all, { from, to }) => all + to - from, 0)

describe('the spans of a task', () => {
  it('are one where a window has room, the next one where it has not', () => {
    expect(spansFrom(day, 480, 240, false)).toEqual([{ from: 480, to: 720 }])
    expect(spansFrom(day, 500, 240, false)).toEqual([{ from: 1_920, to: 2_160 }])
    expect(spansFrom(day, 0, 500, false)).toBeUndefined()
  })
  it('go on over breaks where a task can be left, and begin in no rest of a window that is under half an hour', () => {
    expect(spansFrom(day, 500, 300, true)).toEqual([{ from: 500, to: 720 }, { from: 780, to: 860 }])
    expect(spansFrom(day, 720 - LEAST_SPAN, 60, true)![0]).toEqual({ from: 690, to: 720 })
    expect(spansFrom(day, 721 - LEAST_SPAN, 60, true)![0]).toEqual({ from: 780, to: 840 })
    // What fits into it whole is done there, however short.
    expect(spansFrom(day, 710, 10, true)).toEqual([{ from: 710, to: 720 }])
    expect(spansFrom(day, 0, 10_000, true)).toBeUndefined()
  })
  it('have the task’s length, lie in windows, and end no sooner for a later beginning', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1_500 }),
        fc.integer({ min: 0, max: 1_500 }),
        fc.integer({ min: 1, max: 700 }),
        fc.boolean(),
        (a, b, minutes, splits) => {
          const [early, late] = [Math.min(a, b), Math.max(a, b)].map(from => spansFrom(day, from, minutes, splits))
          // What has no place from a moment on has none from a later one.
          if (!early) expect(late).toBeUndefined()
          if (!early || !late) return
          for (const spans of [early, late]) {
            expect(sum(spans)).toBe(minutes)
            expect(spans.every(span => day.some(({ from, to }) => from <= span.from && span.to <= to))).toBe(true)
          }
          expect(late.at(-1)!.to).toBeGreaterThanOrEqual(early.at(-1)!.to)
        },
      ),
    )
  })
})

describe('what somebody is taken for', () => {
  const travel = (from: string, to: string) => from === to ? 0 : 30
  it('leaves the way between two sites free, before and after', () => {
    const crew = new Timeline(travel)
    crew.add({ start: 100, end: 200, site: 'a', task: 'x' })
    expect(crew.inTheWay(200, 260, 'a')).toBeUndefined()
    expect(crew.inTheWay(200, 260, 'b')).toMatchObject({ freeAt: 230, block: { task: 'x' } })
    expect(crew.inTheWay(40, 70, 'b')).toBeUndefined()
    expect(crew.inTheWay(40, 71, 'b')).toMatchObject({ freeAt: 230 })
    expect(crew.inTheWay(40, 100, 'a')).toBeUndefined()
    expect(crew.inTheWay(150, 160, 'a')).toMatchObject({ freeAt: 200 })
    expect(crew.before(150)).toBeUndefined()
    expect(crew.before(200)).toMatchObject({ task: 'x' })
    crew.remove('x')
    expect(crew.inTheWay(150, 160, 'b')).toBeUndefined()
  })
  it('is in order of time however it was booked', () => {
    fc.assert(fc.property(fc.shuffledSubarray([0, 1, 2, 3, 4, 5, 6, 7], { minLength: 8 }), (order) => {
      const crew = new Timeline(() => 0)
      for (const n of order) crew.add({ start: 10 * n, end: 10 * n + 10, site: 'a', task: String(n) })
      expect(crew.blocks.map(({ task }) => task).join('')).toBe('01234567')
    }))
  })
})

describe('times', () => {
  it('are put together, shared, taken away from and counted', () => {
    expect(openTogether([{ from: 0, to: 10 }], [{ from: 5, to: 20 }])).toEqual([{ from: 5, to: 10 }])
    expect(openTogether([{ from: 0, to: 10 }], [{ from: 10, to: 20 }])).toEqual([])
    expect(
      openAnywhere(
        [{ from: 0, to: 10 }],
        [
          { from: 5, to: 20 },
          { from: 30, to: 40 },
        ],
      ),
    ).toEqual([
      { from: 0, to: 20 },
      { from: 30, to: 40 },
    ])
    expect(without([{ from: 0, to: 10 }], [{ from: 4, to: 6 }])).toEqual([{ from: 0, to: 4 }, { from: 6, to: 10 }])
    expect(minutesUntil(day, 800)).toBe(260)
    expect(momentWhenDone(day, 260)).toBe(800)
    expect(momentWhenDone(day, 10_000)).toBe(Infinity)
  })
})
