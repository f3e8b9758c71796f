import { expect, it } from 'vitest'
import { tried } from '../../tests/fixtures/fuzz'
import { cases } from '../../tests/fixtures/soak'

it('a spoilt job is refused with its faults, or planned and drawn with figures throughout', () => {
  const all = Array.from({ length: cases(100, 1500) }, (_, seed) => tried(seed))
  expect(all.flatMap(({ wrong }) => wrong)).toEqual([])
  expect(all.filter(({ taken }) => taken).length).toBeGreaterThan(all.length / 5)
}, 120_000)
