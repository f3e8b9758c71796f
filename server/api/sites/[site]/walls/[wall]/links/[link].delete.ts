import { database } from '../../../../../../database/connection'
import { endLink } from '../../../../../../repositories/links'

/** Takes a client's link back. */
export default defineEventHandler(event => endLink(database(), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!, getRouterParam(event, 'link')!, new Date()))
