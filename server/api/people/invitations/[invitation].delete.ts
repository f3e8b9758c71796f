import { author, firmOf } from '../../../accounts/access'
import { endInvitation } from '../../../accounts/invitations'
import { accounts } from '../../../accounts/open'
import { now } from '../../../utils/now'
import { peopleAnswer } from '../../../utils/peopleAnswer'

/** Takes an invitation back. */
export default defineEventHandler((event) => {
  endInvitation(accounts(), firmOf(event).key, getRouterParam(event, 'invitation')!, author(event), now())
  return peopleAnswer(event)
})
