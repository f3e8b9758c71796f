import { database, signedIn } from '../../accounts/access'
import { now } from '../../utils/now'
import { publishedBetween } from '../../repositories/programme'
import { wallsSeen } from '../../utils/walls'
import { may } from '../../../core/people'

const YEAR = 366 * 86_400_000

/** The walls that the caller sees, with their states and the next visit to each: `{ walls, next, pending }`. */
export default defineEventHandler((event) => {
  const walls = wallsSeen(event)
  const db = database(event)
  const seen = new Set(walls.map(({ site, id }) => `${site}/${id}`))
  const next = new Map<string, { crew: string, startsAt: string, zone: string }>()
  if (may(signedIn(event).held, 'programme.read')) {
    for (const { site, wall, crewName, startsAt, zone } of publishedBetween(
      db,
      now(),
      new Date(Date.now() + YEAR).toISOString(),
    )) {
      const key = `${site}/${wall}`
      if (seen.has(key) && !next.has(key)) next.set(key, { crew: crewName, startsAt, zone })
    }
  }
  return {
    walls: walls.map(wall => ({
      ...wall,
      ...(next.has(`${wall.site}/${wall.id}`) && { next: next.get(`${wall.site}/${wall.id}`) }),
    })),
    pending: walls.filter(({ stale }) => stale).length,
  }
})
