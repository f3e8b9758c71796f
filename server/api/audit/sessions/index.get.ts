import { firmOf } from '../../../accounts/access'
import { accounts } from '../../../accounts/open'
import { listSessions } from '../../../accounts/sessions'

/** On which devices people of the firm are signed in, or were. */
export default defineEventHandler(event => listSessions(accounts(), firmOf(event).key))
