import { author, database, firmOf } from '../../../../../../accounts/access'
import { makeLink } from '../../../../../../repositories/links'
import { fieldsOf } from '../../../../../../utils/fields'
import { jsonBody } from '../../../../../../utils/jsonBody'
import { audited } from '../../../../../../utils/audited'
import { timeNow } from '../../../../../../utils/clock'

/** Makes a link by which a client reads and signs a wall: `{ client, days }`; the answer has its address, once. */
export default defineEventHandler(async (event) => {
  const { client, days } = fieldsOf(await jsonBody(event))
  const { secret, ...link } = makeLink(
    database(event),
    getRouterParam(event, 'site')!,
    getRouterParam(event, 'wall')!,
    { client, days, by: author(event) },
    timeNow(),
  )
  audited(
    event,
    'link-made',
    link.client,
    `${getRouterParam(event, 'site')}, ${getRouterParam(event, 'wall')}, until ${link.expiresAt.slice(0, 10)}`,
  )
  setResponseStatus(event, 201)
  return { ...link, address: `${getRequestURL(event).origin}/handover/${firmOf(event).id}.${secret}` }
})
