import { eq } from 'drizzle-orm'
import { note } from '../../../accounts/audit'
import { markUsed, openInvitation } from '../../../accounts/invitations'
import { accounts } from '../../../accounts/open'
import { addPerson, passwordFault, setPassword } from '../../../accounts/people'
import { people } from '../../../accounts/schema'
import { clientOf, limited } from '../../../guard/limits'
import { notFound, validationError } from '../../../utils/apiError'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { now } from '../../../utils/now'
import { signIn } from '../../../utils/session'

/** Comes in by a link, for the first time or with a new password: `{ name, password }`. The link is used thereby. */
export default defineEventHandler(async (event) => {
  const { name, password } = fieldsOf(await jsonBody(event))
  const hash = typeof password === 'string' && password.length <= 200 ? await hashPassword(password) : ''
  const person = await limited('links', clientOf(event), () => accounts().transaction(() => {
    const invitation = openInvitation(accounts(), getRouterParam(event, 'secret')!, ['join', 'reset'], new Date())
    const faults = passwordFault('$.password', password)
    if (faults.length > 0) throw validationError(faults)
    const { kind, address, role, sites, firm } = invitation
    markUsed(accounts(), invitation, now())
    if (kind === 'join') {
      const joined = addPerson(accounts(), firm!, { name: name ?? invitation.name, address, password: hash, role, sites }, now())
      note(accounts(), firm!, { at: now(), by: joined.name, kind: 'joined', subject: joined.name, detail: '' })
      return joined
    }
    const known = accounts().select().from(people).where(eq(people.key, invitation.person!)).get()
    if (!known || known.removedAt !== null) throw notFound('such person in the firm any more')
    setPassword(accounts(), known, hash, known.name, now())
    return known
  }, { behavior: 'immediate' }))
  await signIn(event, person, 'link')
  return { signedIn: true }
})
