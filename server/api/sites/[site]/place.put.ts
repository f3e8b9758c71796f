import { database } from '../../../accounts/access'
import { savePlace } from '../../../repositories/sites'
import { audited } from '../../../utils/audited'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'

/**
 * Puts what is said of a site's place: `{ place, version }`; what `place` does not name stays, what it has as null is
 * taken away.
 */
export default defineEventHandler(async (event) => {
  const { place, version } = fieldsOf(await jsonBody(event))
  const site = getRouterParam(event, 'site')!
  const saved = savePlace(database(event), site, fieldsOf(place), version)
  audited(event, 'place', site)
  return saved
})
