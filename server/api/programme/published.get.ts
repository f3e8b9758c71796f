import { isMoment } from '../../../core/job/moment'
import { database, seenBy } from '../../accounts/access'
import { publishedBetween } from '../../repositories/programme'
import { siteOfId } from '../../repositories/siteRows'
import { validationError } from '../../utils/apiError'

/** What was published between two moments, `?from=` and `?to=` (ISO 8601), at the sites that the caller sees. */
export default defineEventHandler((event) => {
  const { from, to } = getQuery(event)
  const faults = Object.entries({ from, to }).flatMap(([key, value]) =>
    typeof value === 'string' && isMoment(value)
      ? []
      : [{ path: `$.${key}`, message: 'must be a date and time with time zone (ISO 8601)' }],
  )
  if (faults.length > 0) throw validationError(faults)
  const db = database(event)
  const sees = seenBy(event)
  const seen = new Map<string, ((wall: string) => boolean) | undefined>()
  return publishedBetween(db, new Date(from as string).toISOString(), new Date(to as string).toISOString()).filter(
    ({ site, wall }) => {
      if (!seen.has(site)) seen.set(site, sees(siteOfId(db).get({ id: site })!))
      return seen.get(site)?.(wall)
    },
  )
})
