import { signedIn } from '../../../accounts/access'
import { accounts } from '../../../accounts/open'
import { listPasskeys, removePasskey } from '../../../accounts/passkeys'
import { now } from '../../../utils/now'

/** Takes one of one's own passkeys away. */
export default defineEventHandler((event) => {
  const { person } = signedIn(event)
  removePasskey(accounts(), person, getRouterParam(event, 'passkey')!, now())
  return listPasskeys(accounts(), person)
})
