import { expect, it, vi } from 'vitest'
import { memoize } from './memo'

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
