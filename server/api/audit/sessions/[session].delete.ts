import { author, firmOf } from '../../../accounts/access'
import { accounts } from '../../../accounts/open'
import { endSession, listSessions } from '../../../accounts/sessions'
import { now } from '../../../utils/now'

/** Ends a session of anybody of the firm: a phone that was lost is let in no more. */
export default defineEventHandler((event) => {
  endSession(accounts(), firmOf(event).key, getRouterParam(event, 'session')!, { by: author(event), at: now() })
  return listSessions(accounts(), firmOf(event).key)
})
