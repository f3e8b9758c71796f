import { describe, expect, it, vi } from 'vitest'
import { memoize, remember, steady } from './memo'

it('works each answer out once, and gives the same thing again', () => {
  const answer = vi.fn((x: number) => ({ x }))
  const known = memoize(answer)
  expect(known(2)).toBe(known(2))
  expect(known(3)).toEqual({ x: 3 })
  expect(answer.mock.calls).toEqual([[2], [3]])
})

it('remembers that there was no answer', () => {
  const answer = vi.fn((): undefined => undefined)
  const known = memoize(answer)
  known(1)
  known(1)
  expect(answer).toHaveBeenCalledTimes(1)
})

it('keeps what one function knows from another', () => {
  const [double, square] = [memoize((x: number) => 2 * x), memoize((x: number) => x * x)]
  expect([double(3), square(3), double(3)]).toEqual([6, 9, 6])
})

describe('what is remembered', () => {
  it('is the answer about the very same things, of the last few', () => {
    let asked = 0
    const sum = remember(2, (a: { n: number }, b: number) => (asked++, { sum: a.n + b }))
    const [one, two, three] = [{ n: 1 }, { n: 2 }, { n: 3 }]
    const first = sum(one, 5)
    expect([sum(one, 5) === first, sum({ n: 1 }, 5) === first, asked]).toEqual([true, false, 2])
    sum(one, 5)
    sum(two, 5)
    sum(three, 5)
    expect([asked, sum(one, 5) === first]).toEqual([4, false])
  })

  it('is one object for all with the very same things in them', () => {
    const same = steady<Record<string, unknown>>(2)
    const inner = {}
    const first = same({ a: inner, b: 1 })
    expect(same({ b: 1, a: inner })).toBe(first)
    expect(same({ a: {}, b: 1 })).not.toBe(first)
    expect(same({ a: inner })).not.toBe(first)
  })
})
