import { signedIn } from '../../accounts/access'
import { accounts } from '../../accounts/open'
import { listPasskeys } from '../../accounts/passkeys'
import { listSessions } from '../../accounts/sessions'

/** One's own account: sessions, passkeys, and whether there is a password. */
export default defineEventHandler((event) => {
  const { person, firm, session } = signedIn(event)
  return {
    session,
    hasPassword: person.password !== null,
    sessions: listSessions(accounts(), firm.key, person.key),
    passkeys: listPasskeys(accounts(), person),
  }
})
