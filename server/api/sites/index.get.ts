import { database, seenBy } from '../../accounts/access'
import { listSites } from '../../repositories/sites'

/** The sites that the caller sees, with their walls. */
export default defineEventHandler(event => listSites(database(event), seenBy(event)))
