import { database, signedIn } from '../../accounts/access'
import { endCalendar } from '../../repositories/calendars'
import { audited } from '../../utils/audited'

/** Ends one's own calendar. */
export default defineEventHandler((event) => {
  const { person } = signedIn(event)
  endCalendar(database(event), 'person', person.id)
  audited(event, 'calendar-ended', person.name)
  return { ok: true }
})
