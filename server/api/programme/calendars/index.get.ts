import { database } from '../../../accounts/access'
import { listCalendars } from '../../../repositories/calendars'

/** The calendars that a person subscribed to, without their secrets. */
export default defineEventHandler(event => listCalendars(database(event)))
