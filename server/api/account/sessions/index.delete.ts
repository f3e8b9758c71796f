import { signedIn } from '../../../accounts/access'
import { accounts } from '../../../accounts/open'
import { endSession, listSessions } from '../../../accounts/sessions'
import { now } from '../../../utils/now'

/** Signs oneself out on every device but the one that asks; answers with the sessions as they are then. */
export default defineEventHandler((event) => {
  const { person, firm, session } = signedIn(event)
  const others = listSessions(accounts(), firm.key, person.key).filter(
    ({ id, endedAt }) => id !== session && endedAt === null,
  )
  for (const { id } of others) endSession(accounts(), firm.key, id, { by: person.name, at: now() }, person.key)
  return listSessions(accounts(), firm.key, person.key)
})
