import { signedIn } from '../../../accounts/access'
import { confirmSession } from '../../../accounts/confirmed'
import { hashing } from '../../../guard/hashing'
import { clientOf, limited } from '../../../guard/limits'
import { apiError } from '../../../utils/apiError'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { timeNow } from '../../../utils/clock'

/** Confirms by the password that it is still its person who uses this session: `{ password }`. */
export default defineEventHandler(async (event) => {
  const asking = signedIn(event)
  const { password: known, id } = asking.person
  const { password } = fieldsOf(await jsonBody(event))
  await limited([['password', `${clientOf(event)} ${id}`]], async () => {
    const isRight = known !== null && await hashing('known', () => verifyPassword(known, String(password)))
    if (!isRight) throw apiError(403, 'wrong-password', 'This is not your current password.')
  })
  confirmSession(asking, timeNow())
  return { confirmed: true }
})
