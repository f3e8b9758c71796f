import { describe, expect, it } from 'vitest'
import { dateText, momentText, weekdayText } from './dates'

describe('a date', () => {
  it('has one form, in the zone of the site', () => {
    expect(dateText('2026-11-30T23:30:00Z', 'Europe/Oslo')).toBe('1 Dec 2026')
    expect(dateText('2026-09-05T10:00:00+02:00', 'UTC')).toBe('5 Sep 2026')
    expect(momentText('2026-11-30T00:05:00Z', 'America/New_York')).toBe('29 Nov 2026, 19:05')
    expect(momentText('2026-11-30T00:05:00Z', 'UTC')).toBe('30 Nov 2026, 00:05')
    expect(weekdayText('2026-11-30T12:00:00Z', 'Pacific/Auckland')).toBe('Tue 1 Dec 2026')
  })

  it('that is a day by itself is that day everywhere, and what is none stays as it is', () => {
    expect(['America/New_York', 'Pacific/Auckland'].map(zone => weekdayText('2026-11-30', zone))).toEqual([
      'Mon 30 Nov 2026',
      'Mon 30 Nov 2026',
    ])
    expect([dateText('soon'), momentText('2026-99-99T00:00:00Z')]).toEqual(['soon', '2026-99-99T00:00:00Z'])
  })
})
