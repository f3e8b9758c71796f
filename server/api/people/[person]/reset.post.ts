import { heldNow } from '../../../../core/people'
import { author, firmOf } from '../../../accounts/access'
import { inviteToReset } from '../../../accounts/invitations'
import { accounts } from '../../../accounts/open'
import { grantsOf, personHere } from '../../../accounts/people'
import { timeNow } from '../../../utils/clock'

/** Makes a link by which a person sets a new password; the answer has its address, once. */
export default defineEventHandler((event) => {
  const person = personHere(accounts(), firmOf(event).key, getRouterParam(event, 'person')!)
  const { role, sites } = heldNow(grantsOf(accounts(), person.key))!
  const secret = inviteToReset(accounts(), person, { role, sites: [...sites] }, author(event), timeNow())
  setResponseStatus(event, 201)
  return { address: `${getRequestURL(event).origin}/join/${secret}` }
})
