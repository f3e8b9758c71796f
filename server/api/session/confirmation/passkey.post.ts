import { signedIn } from '../../../accounts/access'
import { challengeOf, keepChallenge } from '../../../accounts/challenges'
import { confirmSession } from '../../../accounts/confirmed'
import { accounts } from '../../../accounts/open'
import { countPasskey, passkeyOf } from '../../../accounts/passkeys'
import { apiError } from '../../../utils/apiError'
import { checkSmall } from '../../../utils/jsonBody'
import { timeNow } from '../../../utils/clock'

const refused = () => apiError(403, 'passkey-refused', 'This is not a passkey of yours, or it was not used in time.')

const authenticate = defineWebAuthnAuthenticateEventHandler({
  getOptions: () => ({ userVerification: 'required' }),
  storeChallenge: (_event, challenge, attempt) => keepChallenge(attempt, challenge),
  getChallenge: (_event, attempt) => challengeOf(attempt),
  getCredential: (event, id) => {
    const { passkey: { publicKey, counter, transports }, person } = passkeyOf(accounts(), id)
    if (person.key !== signedIn(event).person.key) throw refused()
    return { id, publicKey, counter, backedUp: false, transports: transports as never }
  },
  onSuccess: (event, { credential, authenticationInfo }) => {
    countPasskey(accounts(), credential.id, authenticationInfo.newCounter)
    confirmSession(signedIn(event), timeNow())
  },
  onError: () => { throw refused() },
})

/** Confirms by a passkey that it is still its person who uses this session; asked twice, as a sign-in is. */
export default defineEventHandler((event) => {
  checkSmall(event)
  return authenticate(event)
})
