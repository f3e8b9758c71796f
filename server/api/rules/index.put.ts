import { database } from '../../database/connection'
import { saveFirmRules } from '../../repositories/firm'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'

/** Saves the firm's house rules on the version they were made from; a stale one is answered with 409 and the newer state. */
export default defineEventHandler(async (event) => {
  const { rules, version } = fieldsOf(await jsonBody(event))
  return saveFirmRules(database(), rules, version)
})
