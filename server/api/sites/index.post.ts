import { author, database } from '../../accounts/access'
import { createSite } from '../../repositories/sites'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'
import { now } from '../../utils/now'
import { newSite } from '../../utils/newSite'

/** A new site; its walls take their models from the firm's catalogue. */
export default defineEventHandler(async (event) => {
  const body = fieldsOf(await jsonBody(event))
  const db = database(event)
  const id = createSite(db, newSite(db, body), { displays: [], mounts: [], fasteners: [] }, author(event), now())
  setResponseStatus(event, 201)
  return { id }
})
