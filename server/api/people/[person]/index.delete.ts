import { author, database, firmOf } from '../../../accounts/access'
import { accounts } from '../../../accounts/open'
import { personHere, removePerson } from '../../../accounts/people'
import { leaveLinks } from '../../../repositories/links'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { now } from '../../../utils/now'
import { peopleAnswer } from '../../../utils/peopleAnswer'
import { timeNow } from '../../../utils/clock'

/**
 * Removes a person from the firm: his sessions and invitations end, what he recorded stays. His clients' links end, or
 * with `{ "links": "take-over" }` they are of who removes him.
 */
export default defineEventHandler(async (event) => {
  const { links } = fieldsOf(await jsonBody(event))
  const [firm, id, by] = [firmOf(event).key, getRouterParam(event, 'person')!, author(event)]
  const { name } = personHere(accounts(), firm, id)
  removePerson(accounts(), firm, id, by, now())
  leaveLinks(database(event), name, links === 'take-over' ? { takenOverBy: by } : { end: true }, timeNow())
  return peopleAnswer(event)
})
