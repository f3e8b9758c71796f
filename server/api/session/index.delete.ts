import { signedIn } from '../../accounts/access'
import { accounts } from '../../accounts/open'
import { endSession } from '../../accounts/sessions'
import { now } from '../../utils/now'

/** Signs out on the device that asks. */
export default defineEventHandler(async (event) => {
  const { session, person, firm } = signedIn(event)
  endSession(accounts(), firm.key, session, { by: person.name, at: now() })
  await clearUserSession(event)
  return { signedIn: false }
})
