import { database } from '../../../accounts/access'
import { readSite } from '../../../repositories/sites'

/** What a site decides for all its walls. */
export default defineEventHandler(event => readSite(database(event), getRouterParam(event, 'site')!))
