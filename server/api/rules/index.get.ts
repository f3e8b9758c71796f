import { database } from '../../accounts/access'
import { readFirm } from '../../repositories/firm'

/** What the firm chose for all its sites. */
export default defineEventHandler(event => readFirm(database(event)))
