import { database } from '../../../../../database/connection'
import { addLogEntry } from '../../../../../repositories/log'
import { jsonBody } from '../../../../../utils/jsonBody'

/** Adds one entry to the log. There is no route that changes or removes one. */
export default defineEventHandler(async (event) => {
  const entry = addLogEntry(database(), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!, await jsonBody(event))
  setResponseStatus(event, 201)
  return entry
})
