import { database } from '../../accounts/access'
import { saveFirmRules } from '../../repositories/firm'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'
import { audited } from '../../utils/audited'

/**
 * Saves the firm's house rules on the version they were made from; a stale one is answered with 409 and the newer
 * state.
 */
export default defineEventHandler(async (event) => {
  const { rules, version } = fieldsOf(await jsonBody(event))
  const saved = saveFirmRules(database(event), rules, version)
  audited(event, 'rules', 'the firm', JSON.stringify(rules))
  return saved
})
