import type { PublishedStretch } from '../../core/api/programme'
import ical, { ICalCalendarMethod } from 'ical-generator'
import { minuteOf, visitsOf, type Stretch } from '../../core/programme'

/** What a calendar says of a site beside its name. */
export interface SiteTold { name: string, address?: string, access?: string }

type Told = Stretch & Pick<PublishedStretch, 'title' | 'published'>

/**
 * Visits as an iCalendar feed (RFC 5545): one event a visit, at moments in UTC, so that no change of hour moves it. An
 * event keeps its id while the crew is at that site on that day, and counts up with each publishing.
 *
 * @param address where the application is, for the link in each event
 */
export function feedOf(
  name: string,
  stretches: PublishedStretch[],
  sites: Map<string, SiteTold>,
  address: string,
  stamp: Date,
): string {
  const calendar = ical({
    name,
    prodId: { company: 'Wide Trellis', product: 'Programme', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 3_600,
  })
  const told = stretches.map(({ site, wall, task, crew, title, startsAt, endsAt, published }): Told => ({
    site,
    wall,
    task,
    crew,
    title,
    published,
    from: minuteOf(startsAt),
    to: minuteOf(endsAt),
  }))
  const zoneOf = new Map(stretches.map(({ site, zone }) => [site, zone]))
  for (const visit of visitsOf(told, site => zoneOf.get(site)!)) {
    const site = sites.get(visit.site)
    const [first, last] = [
      stretches.find(({ startsAt, crew }) => minuteOf(startsAt) === visit.from && crew === visit.crew)!,
      Math.max(...visit.stretches.map(({ published }) => published)),
    ]
    calendar.createEvent({
      id: `${visit.id}@wide-trellis`,
      start: new Date(visit.from * 60_000),
      end: new Date(visit.to * 60_000),
      stamp,
      sequence: last,
      summary: `${site?.name ?? visit.site} (${first.crewName})`,
      ...(site?.address && { location: site.address }),
      description: [
        ...visit.stretches.map(({ title }) => title),
        ...(site?.access ? ['', `Access: ${site.access}`] : []),
      ].join('\n'),
      url: `${address}/programme/day?day=${visit.day}&crew=${visit.crew}`,
    })
  }
  return calendar.toString()
}
