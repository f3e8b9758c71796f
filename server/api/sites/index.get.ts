import { database } from '../../database/connection'
import { listSites } from '../../repositories/sites'

export default defineEventHandler(() => listSites(database()))
