import { author, firmOf } from '../../../accounts/access'
import { invite } from '../../../accounts/invitations'
import { accounts } from '../../../accounts/open'
import { roleChoice } from '../../../accounts/people'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { timeNow } from '../../../utils/clock'

/** Invites a person: `{ name, address, role, sites }`; the answer has the link's address, once. */
export default defineEventHandler(async (event) => {
  const body = fieldsOf(await jsonBody(event))
  const secret = invite(
    accounts(),
    firmOf(event).key,
    { ...roleChoice(body), name: body.name, address: body.address },
    author(event),
    timeNow(),
  )
  setResponseStatus(event, 201)
  return { address: `${getRequestURL(event).origin}/join/${secret}` }
})
