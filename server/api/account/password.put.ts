import { signedIn } from '../../accounts/access'
import { checkConfirmed } from '../../accounts/confirmed'
import { accounts } from '../../accounts/open'
import { passwordFault } from '../../accounts/passwords'
import { setPassword } from '../../accounts/people'
import { hashing } from '../../guard/hashing'
import { clientOf, limited } from '../../guard/limits'
import { apiError, validationError } from '../../utils/apiError'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'
import { now } from '../../utils/now'
import { timeNow } from '../../utils/clock'

/** Sets one's own password: `{ now, next }`, where there was none without `now`; one's other sessions end. */
export default defineEventHandler(async (event) => {
  const asking = signedIn(event)
  const { person, session } = asking
  if (person.password === null) checkConfirmed(asking, timeNow())
  const { now: present, next } = fieldsOf(await jsonBody(event))
  const faults = passwordFault('$.next', next)
  if (faults.length > 0) throw validationError(faults)
  await limited([['password', `${clientOf(event)} ${person.id}`]], async () => {
    const { password } = person
    const isRight = password === null || await hashing('known', () => verifyPassword(password, String(present)))
    if (!isRight) throw apiError(403, 'wrong-password', 'This is not your current password.')
  })
  setPassword(
    accounts(),
    person,
    await hashing('known', () => hashPassword(String(next))),
    { by: person.name, at: now() },
    session,
  )
  return { set: true }
})
