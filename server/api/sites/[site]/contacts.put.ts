import { database } from '../../../database/connection'
import { saveContacts } from '../../../repositories/sites'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'

/** Puts the people to call of a site: `{ contacts, version }`, the version of the site that they were made from. */
export default defineEventHandler(async (event) => {
  const { contacts, version } = fieldsOf(await jsonBody(event))
  return saveContacts(database(), getRouterParam(event, 'site')!, contacts, version)
})
