import { database } from '../../../accounts/access'
import { listCalendars } from '../../../repositories/calendars'

/** The calendars that somebody subscribed to, without their secrets. */
export default defineEventHandler(event => listCalendars(database(event)))
