import { describe, expect, it } from 'vitest'
import { minuteOf } from '~~/core/programme'
import { siteLetters, timeAt, whenAt } from './when'

describe('when something is', () => {
  const moment = minuteOf('2026-10-25T00:30:00Z')
  it('is said by the clock of the place, twice in the night in which that is put back', () => {
    expect(timeAt(moment, 'Europe/Oslo')).toBe('02:30')
    expect(timeAt(moment + 60, 'Europe/Oslo')).toBe('02:30')
    expect(timeAt(moment, 'UTC')).toBe('00:30')
    expect(whenAt(minuteOf('2026-11-30T23:30:00Z'), 'Europe/Oslo')).toContain('00:30')
    expect(whenAt(minuteOf('2026-11-30T23:30:00Z'), 'Europe/Oslo')).toContain('Dec')
  })
  it.each([
    ['Holm Point', 'HP'],
    ['Stennick', 'S'],
    ['', '–'],
    ['ravel sands pier', 'RS'],
  ])('%s is %s where there is no room', (name, letters) => {
    expect(siteLetters(name)).toBe(letters)
  })
})
