import { signedIn } from '../../../accounts/access'
import { challengeOf, keepChallenge } from '../../../accounts/challenges'
import { checkConfirmed } from '../../../accounts/confirmed'
import { accounts } from '../../../accounts/open'
import { addPasskey, listPasskeys } from '../../../accounts/passkeys'
import { apiError } from '../../../utils/apiError'
import { checkSmall } from '../../../utils/jsonBody'
import { now } from '../../../utils/now'
import { timeNow } from '../../../utils/clock'

const register = defineWebAuthnRegisterEventHandler({
  getOptions: () => ({
    rpName: 'Wide Trellis',
    authenticatorSelection: { residentKey: 'required', userVerification: 'preferred' },
  }),
  validateUser: (_user, event) => {
    const { person } = signedIn(event)
    return { userName: person.address, displayName: person.name }
  },
  excludeCredentials: event => listPasskeys(accounts(), signedIn(event).person).map(({ id }) => ({ id })),
  storeChallenge: (_event, challenge, attempt) => keepChallenge(attempt, challenge),
  getChallenge: (_event, attempt) => challengeOf(attempt),
  onSuccess: (event, { credential: { id, publicKey, counter, transports = [] } }) => {
    const device = getHeader(event, 'user-agent') ?? 'Unknown device'
    addPasskey(accounts(), signedIn(event).person, { id, publicKey, counter, transports }, device.slice(0, 300), now())
  },
  onError: () => {
    throw apiError(
      422,
      'passkey-refused',
      'The device did not create a passkey that can be used here. Try again, or continue with your password.',
    )
  },
})

/**
 * Adds a passkey of the device that asks: asked twice, for what it is to sign, and with what it signed. Whose it is is
 * the session's to say.
 */
export default defineEventHandler((event) => {
  checkSmall(event)
  checkConfirmed(signedIn(event), timeNow())
  return register(event)
})
