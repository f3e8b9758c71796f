import { author, database, firmOf, signedIn } from '../../accounts/access'
import { makeCalendar } from '../../repositories/calendars'
import { audited } from '../../utils/audited'
import { now } from '../../utils/now'

/** Makes the address of one's own calendar anew; the one before it ends. The secret is shown only once. */
export default defineEventHandler((event) => {
  const { person } = signedIn(event)
  const made = makeCalendar(database(event), 'person', person.id, author(event), now())
  audited(event, 'calendar-made', person.name)
  return { ...made, secret: `${firmOf(event).id}.${made.secret}` }
})
