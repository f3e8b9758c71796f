import { beginFirm, nameFault } from '../../accounts/firms'
import { markUsed, openInvitation } from '../../accounts/invitations'
import { accounts, databaseOfFirm } from '../../accounts/open'
import { passwordFault } from '../../accounts/passwords'
import { addPerson, addressFault } from '../../accounts/people'
import { hashing } from '../../guard/hashing'
import { opened } from '../../guard/limits'
import { validationError } from '../../utils/apiError'
import { atomically } from '../../database/atomically'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'
import { now } from '../../utils/now'
import { signIn } from '../../utils/session'
import { timeNow } from '../../utils/clock'

/**
 * Begins a firm and its first planner by the code that was printed where the server runs: `{ code, firm, name, address,
 * password }`.
 */
export default defineEventHandler(async (event) => {
  const { code, firm, name, address, password } = fieldsOf(await jsonBody(event))
  const open = () => openInvitation(accounts(), String(code), ['firm'], timeNow())
  const person = await opened(event, async () => {
    open()
    const faults = [
      ...nameFault('$.firm', firm),
      ...nameFault('$.name', name),
      ...addressFault('$.address', address),
      ...passwordFault('$.password', password),
    ]
    if (faults.length > 0) throw validationError(faults)
    const hash = await hashing('strangers', () => hashPassword(String(password)))
    return atomically(accounts(), () => {
      // Another person may have used it while the password was made ready.
      markUsed(accounts(), open(), now())
      const begun = beginFirm(accounts(), String(firm), now())
      const planner = addPerson(
        accounts(),
        begun.key,
        { name, address, password: hash, role: 'planner', sites: [] },
        now(),
      )
      databaseOfFirm(begun)
      return planner
    })
  })
  await signIn(event, person, 'link')
  setResponseStatus(event, 201)
  return { signedIn: true }
})
