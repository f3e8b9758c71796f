import { database } from '../../database/connection'
import { createSite } from '../../repositories/sites'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'
import { author, now } from '../../utils/author'
import { newSite } from '../../utils/newSite'

/** A new site; its walls take their models from the firm's catalogue. */
export default defineEventHandler(async (event) => {
  const body = fieldsOf(await jsonBody(event))
  const db = database()
  const id = createSite(db, newSite(db, body), { displays: [], mounts: [], fasteners: [] }, author(body.by), now())
  setResponseStatus(event, 201)
  return { id }
})
