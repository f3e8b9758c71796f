import { database } from '../../../accounts/access'
import { endCalendar } from '../../../repositories/calendars'
import { audited } from '../../../utils/audited'

/** Ends the calendar of a crew. */
export default defineEventHandler((event) => {
  const crew = getRouterParam(event, 'crew')!
  const left = endCalendar(database(event), 'crew', crew)
  audited(event, 'calendar-ended', crew)
  return left
})
