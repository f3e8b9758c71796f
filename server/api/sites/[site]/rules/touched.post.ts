import { database } from '../../../../accounts/access'
import { touchedBy } from '../../../../repositories/touched'
import { fieldsOf } from '../../../../utils/fields'
import { jsonBody } from '../../../../utils/jsonBody'

/** Which walls of a site would be planned otherwise, were its house rules these: `{ rules }`. */
export default defineEventHandler(async event =>
  touchedBy(database(event), fieldsOf(await jsonBody(event)).rules, getRouterParam(event, 'site')!),
)
