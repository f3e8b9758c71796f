import { may } from '../../../../core/people'
import { author, database, firmOf } from '../../../accounts/access'
import { accounts } from '../../../accounts/open'
import { changeRole, personHere, roleChoice } from '../../../accounts/people'
import { leaveLinks } from '../../../repositories/links'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'
import { now } from '../../../utils/now'
import { peopleAnswer } from '../../../utils/peopleAnswer'
import { timeNow } from '../../../utils/clock'

/**
 * Gives a person another role, or other sites: `{ role, sites }`. Where he may make no clients' links any more, those
 * that he made end, or with `"links": "take-over"` they are of who changes his role.
 */
export default defineEventHandler(async (event) => {
  const given = fieldsOf(await jsonBody(event))
  const [firm, id, by, choice] = [firmOf(event).key, getRouterParam(event, 'person')!, author(event), roleChoice(given)]
  const { name } = personHere(accounts(), firm, id)
  changeRole(accounts(), firm, id, choice, { by, at: now() })
  const links = given.links === 'take-over' ? { takenOverBy: by } : { end: true as const }
  if (!may(choice, 'wall.links')) leaveLinks(database(event), name, links, timeNow())
  return peopleAnswer(event)
})
