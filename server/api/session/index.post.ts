import { note } from '../../accounts/audit'
import { listFirms } from '../../accounts/firms'
import { accounts } from '../../accounts/open'
import { addressOf, peopleOfAddress } from '../../accounts/people'
import { hashing } from '../../guard/hashing'
import { clientOf, limited } from '../../guard/limits'
import { apiError } from '../../utils/apiError'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'
import { knownDevice } from '../../utils/knownDevice'
import { now } from '../../utils/now'
import { signIn } from '../../utils/session'

/** What is compared where there is nobody of an address, so that it takes as long. */
let nobodys: Promise<string> | undefined

/** Signs in: `{ address, password }`, and `firm` where a person is of several with one password. */
export default defineEventHandler(async (event) => {
  const { address, password, firm } = fieldsOf(await jsonBody(event))
  const [who, typed] = [addressOf(address), typeof password === 'string' ? password.slice(0, 200) : '']
  const place = clientOf(event)
  const known = peopleOfAddress(accounts(), who)
  const device = await knownDevice(event)
  const isKnown = device !== undefined && known.some(({ id }) => device.people.includes(id))
  const verify = (hash: string) => hashing(isKnown ? 'known' : 'strangers', () => verifyPassword(hash, typed))
  const person = await limited(
    isKnown
      ? [['device', device.id]]
      : [
          ['place', place],
          ['address', who],
          ['password', `${place} ${who}`],
        ],
    async () => {
      if (known.every(({ password }) => password === null)) await verify(await (nobodys ??= hashPassword('nobody')))
      const matching = []
      for (const each of known) if (each.password !== null && (await verify(each.password))) matching.push(each)
      if (matching.length > 0) return matching
      for (const each of known)
        note(accounts(), each.firm, {
          at: now(),
          by: each.name,
          kind: 'sign-in-failed',
          subject: (getHeader(event, 'user-agent') ?? '').slice(0, 300),
          detail: 'wrong password',
        })
      throw apiError(
        401,
        'wrong-password',
        'The address or the password is wrong. A planner of your firm can give you a link to set a new password.',
      )
    },
  )
  const firms = listFirms(accounts()).filter(({ key }) => person.some(each => each.firm === key))
  const chosen = firms.length === 1 ? firms[0] : firms.find(({ id }) => id === firm)
  if (!chosen) return { choose: firms.map(({ id, name }) => ({ id, name })) }
  await signIn(event, person.find(each => each.firm === chosen.key)!, 'password')
  return { signedIn: true }
})
