import { challengeOf, keepChallenge } from '../../accounts/challenges'
import { accounts } from '../../accounts/open'
import { countPasskey, passkeyOf } from '../../accounts/passkeys'
import { opened } from '../../guard/limits'
import { apiError } from '../../utils/apiError'
import { LIMITS } from '../../../core/job'
import { checkSmall } from '../../utils/jsonBody'
import { signIn } from '../../utils/session'

const authenticate = defineWebAuthnAuthenticateEventHandler({
  getOptions: () => ({ userVerification: 'preferred' }),
  storeChallenge: (_event, challenge, attempt) => keepChallenge(attempt, challenge),
  getChallenge: (_event, attempt) => challengeOf(attempt),
  getCredential: (_event, id) => {
    const { passkey: { publicKey, counter, transports } } = passkeyOf(accounts(), id)
    return { id, publicKey, counter, backedUp: false, transports: transports as never }
  },
  onSuccess: async (event, { credential, authenticationInfo }) => {
    countPasskey(accounts(), credential.id, authenticationInfo.newCounter)
    await signIn(event, passkeyOf(accounts(), credential.id).person, 'passkey')
  },
  onError: () => {
    throw apiError(
      401,
      'passkey-refused',
      'This passkey is not known here, or it was not used in time. Sign in with your password.',
    )
  },
})

/** Signs in with a passkey: asked twice, for what the device is to sign, and with what it signed. */
export default defineEventHandler((event) => {
  checkSmall(event, LIMITS.strangersBytes)
  return opened(event, () => authenticate(event))
})
