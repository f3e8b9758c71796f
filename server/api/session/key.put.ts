import { signedIn } from '../../accounts/access'
import { registerKey } from '../../accounts/keys'
import { accounts } from '../../accounts/open'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'
import { now } from '../../utils/now'

/** Registers the public key of the device that asks: what it signs from now on was made in this session. */
export default defineEventHandler(async (event) => {
  const { key } = fieldsOf(await jsonBody(event))
  return { key: registerKey(accounts(), signedIn(event), key, now()) }
})
