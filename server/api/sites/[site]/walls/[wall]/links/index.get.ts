import { database } from '../../../../../../accounts/access'
import { listLinks } from '../../../../../../repositories/links'

/** The clients' links of a wall; the secrets in them are shown only to anyone who makes one. */
export default defineEventHandler(event =>
  listLinks(database(event), getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!),
)
