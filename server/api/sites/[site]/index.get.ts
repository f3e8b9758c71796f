import { database } from '../../../database/connection'
import { readSite } from '../../../repositories/sites'

/** What a site decides for all its walls. */
export default defineEventHandler(event => readSite(database(), getRouterParam(event, 'site')!))
