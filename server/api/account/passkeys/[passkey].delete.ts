import { signedIn } from '../../../accounts/access'
import { checkConfirmed } from '../../../accounts/confirmed'
import { accounts } from '../../../accounts/open'
import { listPasskeys, removePasskey } from '../../../accounts/passkeys'
import { now } from '../../../utils/now'
import { timeNow } from '../../../utils/clock'

/** Takes one of one's own passkeys away. */
export default defineEventHandler((event) => {
  const asking = signedIn(event)
  checkConfirmed(asking, timeNow())
  const { person } = asking
  removePasskey(accounts(), person, getRouterParam(event, 'passkey')!, now())
  return listPasskeys(accounts(), person)
})
