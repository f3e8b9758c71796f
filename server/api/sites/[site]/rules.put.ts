import { database } from '../../../database/connection'
import { saveRules } from '../../../repositories/sites'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'

/** Saves a site's house rules on the version they were made from; a stale one is answered with 409 and the newer state. */
export default defineEventHandler(async (event) => {
  const { rules, version } = fieldsOf(await jsonBody(event))
  return saveRules(database(), getRouterParam(event, 'site')!, rules, version)
})
