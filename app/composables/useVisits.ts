import type { PublishedStretch } from '~~/core/api/programme'
import { minuteOf, visitsOf, type Stretch, type Visit } from '~~/core/programme'

/** A stretch of a visit as people see it. */
export type ShownStretch = Stretch & Pick<PublishedStretch, 'kind' | 'title' | 'crewName'>

/** The visits that were published: who is at which site on which day. */
export function useVisits() {
  const store = useProgrammeStore()
  return computed((): Visit<ShownStretch>[] =>
    visitsOf(
      store.published.map(({ site, wall, task, crew, crewName, kind, title, startsAt, endsAt }): ShownStretch => ({
        site,
        wall,
        task,
        crew,
        crewName,
        kind,
        title,
        from: minuteOf(startsAt),
        to: minuteOf(endsAt),
      })),
      store.zoneOf,
    ),
  )
}
