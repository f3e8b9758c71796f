import { database, firmOf, openedLink } from '../../../accounts/access'
import { tellWall } from '../../../events/hub'
import { signByLink } from '../../../repositories/clientSigns'
import { now } from '../../../utils/now'
import { jsonBody } from '../../../utils/jsonBody'

/** A client signs, or remarks on something, through his link. */
export default defineEventHandler(async (event) => {
  const opened = openedLink(event)
  const entries = signByLink(database(event), opened, await jsonBody(event), now())
  tellWall(firmOf(event).id, opened.site, opened.wall, { kind: 'log', entries })
  setResponseStatus(event, 201)
  return { signed: true }
})
