import { describe, expect, it } from 'vitest'
import { minuteOf } from '~~/core/programme'
import { lasts, siteLetters, timeAt, whenAt } from './when'

describe('when something is', () => {
  const moment = minuteOf('2026-10-25T00:30:00Z')
  it('is said by the clock of the place, twice in the night in which that is put back', () => {
    expect(timeAt(moment, 'Europe/Oslo')).toBe('02:30')
    expect(timeAt(moment + 60, 'Europe/Oslo')).toBe('02:30')
    expect(timeAt(moment, 'UTC')).toBe('00:30')
    expect(whenAt(minuteOf('2026-11-30T23:30:00Z'), 'Europe/Oslo')).toContain('00:30')
    expect(whenAt(minuteOf('2026-11-30T23:30:00Z'), 'Europe/Oslo')).toContain('Dec')
  })
  it.each([[0, '0 min'], [45, '45 min'], [60, '1 h'], [95, '1 h 35 min'], [1_440, '24 h']])('%i minutes last %s', (minutes, said) => {
    expect(lasts(minutes)).toBe(said)
  })
  it.each([['Holm Point', 'HP'], ['Stennick', 'S'], ['', '–'], ['ravel sands pier', 'RS']])('%s is %s where there is no room', (name, letters) => {
    expect(siteLetters(name)).toBe(letters)
  })
})
