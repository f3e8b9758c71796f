import { database } from '../../../accounts/access'
import { savePlace } from '../../../repositories/sites'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { audited } from '../../../utils/audited'

/** Puts the people to call of a site: `{ contacts, version }`, the version of the site that they were made from. */
export default defineEventHandler(async (event) => {
  const { contacts, version } = fieldsOf(await jsonBody(event))
  const site = getRouterParam(event, 'site')!
  const saved = savePlace(database(event), site, { contacts }, version)
  audited(event, 'contacts', site)
  return saved
})
