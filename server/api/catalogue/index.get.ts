import { database } from '../../database/connection'
import { readCatalogue } from '../../repositories/catalogue'

/** The firm's catalogue. */
export default defineEventHandler(() => readCatalogue(database()))
