import { expect, it } from 'vitest'
import { lasts } from './duration'

it.each([
  [0, '0 min'],
  [45, '45 min'],
  [59.6, '1 h'],
  [60, '1 h'],
  [95, '1 h 35 min'],
  [119.7, '2 h'],
  [921, '15 h 21 min'],
  [1_440, '24 h'],
])('%d minutes last %s', (minutes, said) => {
  expect(lasts(minutes)).toBe(said)
})
