import { signedIn } from '../../../accounts/access'
import { accounts } from '../../../accounts/open'
import { endSession, listSessions } from '../../../accounts/sessions'
import { now } from '../../../utils/now'

/** Ends one of one's own sessions: that device is let in no more. */
export default defineEventHandler((event) => {
  const { person, firm } = signedIn(event)
  endSession(accounts(), firm.key, getRouterParam(event, 'session')!, { by: person.name, at: now() }, person.key)
  return listSessions(accounts(), firm.key, person.key)
})
