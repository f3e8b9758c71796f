import { database } from '../../../../accounts/access'
import { saveRules } from '../../../../repositories/sites'
import { fieldsOf } from '../../../../utils/fields'
import { jsonBody } from '../../../../utils/jsonBody'
import { audited } from '../../../../utils/audited'

/**
 * Saves a site's house rules on the version they were made from; a stale one is answered with 409 and the newer state.
 */
export default defineEventHandler(async (event) => {
  const { rules, version } = fieldsOf(await jsonBody(event))
  const site = getRouterParam(event, 'site')!
  const saved = saveRules(database(event), site, rules, version)
  audited(event, 'rules', site, JSON.stringify(rules))
  return saved
})
