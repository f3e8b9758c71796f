import { author, database, firmOf } from '../../../accounts/access'
import { makeCalendar } from '../../../repositories/calendars'
import { readProgramme } from '../../../repositories/programme'
import { notFound } from '../../../utils/apiError'
import { audited } from '../../../utils/audited'
import { now } from '../../../utils/now'

/** Makes the address of a crew's calendar anew; the one before it ends. The secret is shown only once. */
export default defineEventHandler((event) => {
  const [db, crew] = [database(event), getRouterParam(event, 'crew')!]
  if (!readProgramme(db).settings.crews.some(({ id }) => id === crew)) throw notFound('this crew')
  const made = makeCalendar(db, 'crew', crew, author(event), now())
  audited(event, 'calendar-made', crew)
  return { ...made, secret: `${firmOf(event).id}.${made.secret}` }
})
