import { author, firmOf } from '../../../accounts/access'
import { accounts } from '../../../accounts/open'
import { changeRole, roleChoice } from '../../../accounts/people'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { now } from '../../../utils/now'
import { peopleAnswer } from '../../../utils/peopleAnswer'

/** Gives a person another role, or other sites: `{ role, sites }`. */
export default defineEventHandler(async (event) => {
  changeRole(accounts(), firmOf(event).key, getRouterParam(event, 'person')!, roleChoice(fieldsOf(await jsonBody(event))), author(event), now())
  return peopleAnswer(event)
})
