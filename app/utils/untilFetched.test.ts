import { afterEach, expect, it, vi } from 'vitest'
import { untilFetched } from './untilFetched'

afterEach(() => void vi.useRealTimers())

it('asks for a part again until it is there, and for one that is there once', async () => {
  vi.useFakeTimers()
  let asked = 0
  const part = untilFetched(() => ++asked < 3 ? Promise.reject(new Error('no connection')) : Promise.resolve('there'))
  await vi.advanceTimersByTimeAsync(10_000)
  expect([await part, asked]).toEqual(['there', 3])
})
