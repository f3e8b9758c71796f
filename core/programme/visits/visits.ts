import { localTime, type Minute } from '../clock'

/** A stretch of a task that a person is planned to be at. */
export interface Stretch { task: string, site: string, wall: string, crew: string, from: Minute, to: Minute }

/** A crew at a site on one day: what it does there, from when to when. */
export interface Visit<Of extends Stretch = Stretch> {
  id: string
  crew: string
  site: string
  day: string
  from: Minute
  to: Minute
  stretches: Of[]
}

/** A break that is no longer than this does not end a visit, min. */
const LONGEST_BREAK = 180

/**
 * Stretches of work as visits: what a crew does at one site one after the other, with no long break between. A night
 * belongs to the day on which it begins there.
 *
 * @param zoneOf in which zone the clocks of a site go
 */
export function visitsOf<Of extends Stretch>(stretches: Of[], zoneOf: (site: string) => string): Visit<Of>[] {
  const visits: Visit<Of>[] = []
  const open = new Map<string, Visit<Of>>()
  const ofDay = new Map<string, number>()
  for (const stretch of [...stretches].sort((a, b) => a.from - b.from || a.to - b.to || a.task.localeCompare(b.task))) {
    const { crew, site, from, to } = stretch
    const last = open.get(crew)
    if (last && last.site === site && from - last.to <= LONGEST_BREAK) {
      last.stretches.push(stretch)
      last.to = Math.max(last.to, to)
      continue
    }
    const { day } = localTime(from, zoneOf(site))
    const key = `${crew} ${site} ${day}`
    const nth = (ofDay.get(key) ?? 0) + 1
    ofDay.set(key, nth)
    const visit = {
      id: `${crew}-${site}-${day}${nth > 1 ? `-${nth}` : ''}`,
      crew,
      site,
      day,
      from,
      to,
      stretches: [stretch],
    }
    visits.push(visit)
    open.set(crew, visit)
  }
  return visits
}

/** Visits of one crew, or of one person in two crews, that are at one time. */
export function visitsAtOnce(visits: Visit[], peopleOf: (crew: string) => string[]): [Visit, Visit][] {
  const sorted = [...visits].sort((a, b) => a.from - b.from)
  return sorted.flatMap((visit, n) => {
    const found: [Visit, Visit][] = []
    for (let m = n + 1; m < sorted.length && sorted[m]!.from < visit.to; m++) {
      const other = sorted[m]!
      if (peopleOf(visit.crew).some(person => peopleOf(other.crew).includes(person))) found.push([visit, other])
    }
    return found
  })
}
