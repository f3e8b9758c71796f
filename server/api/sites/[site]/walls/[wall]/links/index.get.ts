import { database } from '../../../../../../database/connection'
import { listLinks } from '../../../../../../repositories/links'

/** The clients' links of a wall; the secrets in them are told only to whoever makes one. */
export default defineEventHandler(event => listLinks(database(), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!))
