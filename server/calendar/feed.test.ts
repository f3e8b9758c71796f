import type { PublishedStretch } from '../../core/api/programme'
import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { feedOf } from './feed'

const stretch = (startsAt: string, endsAt: string, more: Partial<PublishedStretch> = {}): PublishedStretch => ({
  site: 'quay',
  wall: 'hall',
  task: `t ${startsAt}`,
  crew: 'one',
  crewName: 'Crew; One, “night”',
  people: ['a'],
  kind: 'drill',
  title: 'Drill: Hall, north; wall',
  startsAt,
  endsAt,
  published: 3,
  zone: 'Europe/Oslo',
  ...more,
})
const SITES = new Map([['quay', { name: 'Quay', address: 'Quay 1, by the crane; left', access: 'Ring\ntwice' }]])
/** Read back by a parser that knows nothing of who wrote it. */
const eventsOf = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map(event => new ICAL.Event(event))

describe('a calendar', () => {
  it('has an event for each visit, with where, what and how one comes in', () => {
    const text = feedOf(
      'One',
      [
        stretch('2026-12-01T08:00:00.000Z', '2026-12-01T09:00:00.000Z'),
        stretch('2026-12-01T09:00:00.000Z', '2026-12-01T10:30:00.000Z', { title: 'Hang: Hall' }),
        stretch('2026-12-02T08:00:00.000Z', '2026-12-02T09:00:00.000Z'),
      ],
      SITES,
      'https://example.test',
      new Date('2026-11-27T10:00:00Z'),
    )
    const events = eventsOf(text)
    expect(events).toHaveLength(2)
    expect(events[0]).toMatchObject({
      summary: 'Quay (Crew; One, “night”)',
      location: 'Quay 1, by the crane; left',
      sequence: 3,
      uid: 'one-quay-2026-12-01@wide-trellis',
    })
    expect(events[0]!.description).toContain('Drill: Hall, north; wall')
    expect(events[0]!.description).toContain('Hang: Hall')
    expect(events[0]!.description).toContain('Access: Ring\ntwice')
    expect(events[0]!.startDate.toJSDate().toISOString()).toBe('2026-12-01T08:00:00.000Z')
    expect(events[0]!.endDate.toJSDate().toISOString()).toBe('2026-12-01T10:30:00.000Z')
    // Lines of a calendar end with CR LF and are at most 75 octets long (RFC 5545, 3.1).
    expect(text.split('\r\n').every(line => Buffer.byteLength(line) <= 75)).toBe(true)
  })

  it('holds its moments where clocks change in the middle of a night', () => {
    // 25 October 2026: clocks in Oslo go back at 03:00. From 22:00 to 05:00 are eight hours.
    const [night] = eventsOf(
      feedOf(
        'One',
        [stretch('2026-10-24T20:00:00.000Z', '2026-10-25T04:00:00.000Z')],
        SITES,
        'https://example.test',
        new Date(0),
      ),
    )
    expect(night!.duration.toSeconds()).toBe(8 * 3_600)
    expect(night!.uid).toBe('one-quay-2026-10-24@wide-trellis')
    const oslo = (time: { toJSDate: () => Date }) =>
      time.toJSDate().toLocaleTimeString('en-GB', { timeZone: 'Europe/Oslo', hour: '2-digit', minute: '2-digit' })
    expect([oslo(night!.startDate), oslo(night!.endDate)]).toEqual(['22:00', '05:00'])
  })

  it('of nothing is a calendar without events', () => {
    expect(eventsOf(feedOf('One', [], SITES, 'https://example.test', new Date(0)))).toEqual([])
  })
})
