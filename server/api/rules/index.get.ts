import { database } from '../../database/connection'
import { readFirm } from '../../repositories/firm'

/** What the firm chose for all its sites. */
export default defineEventHandler(() => readFirm(database()))
