import { demoPeople, isOffered } from '../../accounts/demo'
import { listFirms } from '../../accounts/firms'
import { accounts } from '../../accounts/open'
import { personHere } from '../../accounts/people'
import { apiError } from '../../utils/apiError'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'
import { signIn } from '../../utils/session'

/** Goes in as one of the demo's people, on the machine where the demo runs: `{ person }`. */
export default defineEventHandler(async (event) => {
  const offered = isOffered(getHeader(event, 'host'), getHeader(event, 'x-forwarded-for'))
  if (!offered) throw apiError(403, 'no-demo', 'One-click sign-in works only for the demo on its own machine.')
  const { person } = fieldsOf(await jsonBody(event))
  const found = demoPeople(accounts()).find(({ id, name }) => id === person || name === person)
  await signIn(event, personHere(accounts(), listFirms(accounts())[0]!.key, found?.id ?? ''), 'demo')
  return { signedIn: true }
})
