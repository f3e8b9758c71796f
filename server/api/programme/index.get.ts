import { may } from '../../../core/people'
import { database, firmOf, seenBy, signedIn } from '../../accounts/access'
import { accounts } from '../../accounts/open'
import { listPeople } from '../../accounts/people'
import { readPlannedMinutes } from '../../repositories/plannedMinutes'
import { readProgramme, seenProgramme } from '../../repositories/programme'
import { listPlaces } from '../../repositories/sites'
import { wallsSeen } from '../../utils/walls'

/**
 * All that a programme is calculated of, as far as the caller sees it: settings, people, sites with their windows,
 * walls with the work that is left.
 */
export default defineEventHandler((event) => {
  const db = database(event)
  const walls = wallsSeen(event, { work: true })
  const planned = readPlannedMinutes(db)
  const sites = listPlaces(db, seenBy(event))
  return {
    ...seenProgramme(
      readProgramme(db),
      sites.map(({ id }) => id),
      may(signedIn(event).held, 'programme.plan'),
    ),
    people: listPeople(accounts(), firmOf(event).key).map(({ id, name, role }) => ({ id, name, role })),
    sites,
    walls: walls.map(({ site, id, name, state, work, stale }) => ({
      site,
      id,
      name,
      stops: state?.stops.length ?? 0,
      issued: state?.revision !== undefined,
      stale,
      ...(work && {
        work: work.work,
        samples: work.samples,
        lessons: work.lessons,
        plannedMinutes: planned.get(`${site}/${id}`) ?? [],
        needed: work.needed,
        kit: work.kit,
      }),
    })),
    pending: walls.filter(({ stale }) => stale).length,
  }
})
