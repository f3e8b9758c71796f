import { expect, it } from 'vitest'
import { tried } from '../../tests/fixtures/fuzz'

it('a spoilt job is refused with its faults, or planned and drawn with figures throughout', () => {
  const all = Array.from({ length: 500 }, (_, seed) => tried(seed))
  expect(all.flatMap(({ wrong }) => wrong)).toEqual([])
  expect(all.filter(({ taken }) => taken).length).toBeGreaterThan(100)
}, 120_000)
