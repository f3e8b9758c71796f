import { eq } from 'drizzle-orm'
import { note } from '../../../accounts/audit'
import { markUsed, openInvitation, type Invitation } from '../../../accounts/invitations'
import { accounts } from '../../../accounts/open'
import { passwordFault } from '../../../accounts/passwords'
import { addPerson, setPassword, type Person } from '../../../accounts/people'
import { people } from '../../../accounts/schema'
import { hashing } from '../../../guard/hashing'
import { opened } from '../../../guard/limits'
import { notFound, validationError } from '../../../utils/apiError'
import { atomically } from '../../../database/atomically'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { now } from '../../../utils/now'
import { signIn } from '../../../utils/session'
import { timeNow } from '../../../utils/clock'

/** Takes in whom an invitation is for, with the password that he chose; it is used thereby. */
function enter(invitation: Invitation, name: unknown, password: string): Person {
  const { kind, address, role, sites, firm } = invitation
  markUsed(accounts(), invitation, now())
  if (kind === 'join') {
    const joined = addPerson(
      accounts(),
      firm!,
      { name: name ?? invitation.name, address, password, role, sites },
      now(),
    )
    note(accounts(), firm!, { at: now(), by: joined.name, kind: 'joined', subject: joined.name, detail: '' })
    return joined
  }
  const known = accounts().select().from(people).where(eq(people.key, invitation.person!)).get()
  if (!known || known.removedAt !== null) throw notFound('this person, who may have left the firm')
  setPassword(accounts(), known, password, { by: known.name, at: now() })
  return known
}

/** Comes in by a link, for the first time or with a new password: `{ name, password }`. The link is used thereby. */
export default defineEventHandler(async (event) => {
  const { name, password } = fieldsOf(await jsonBody(event))
  const open = () => openInvitation(accounts(), getRouterParam(event, 'secret')!, ['join', 'reset'], timeNow())
  const person = await opened(event, async () => {
    open()
    const faults = passwordFault('$.password', password)
    if (faults.length > 0) throw validationError(faults)
    const hash = await hashing('strangers', () => hashPassword(String(password)))
    return atomically(accounts(), () => enter(open(), name, hash))
  })
  await signIn(event, person, 'link')
  return { signedIn: true }
})
