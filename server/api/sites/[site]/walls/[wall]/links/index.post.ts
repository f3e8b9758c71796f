import { database } from '../../../../../../database/connection'
import { makeLink } from '../../../../../../repositories/links'
import { author } from '../../../../../../utils/author'
import { fieldsOf } from '../../../../../../utils/fields'
import { jsonBody } from '../../../../../../utils/jsonBody'

/** Makes a link by which a client reads and signs a wall: `{ client, days, by }`; the answer has its address, once. */
export default defineEventHandler(async (event) => {
  const { client, days, by } = fieldsOf(await jsonBody(event))
  const { secret, ...link } = makeLink(database(), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!, { client, days, by: author(by) }, new Date())
  setResponseStatus(event, 201)
  return { ...link, address: `${getRequestURL(event).origin}/handover/${secret}` }
})
