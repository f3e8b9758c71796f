import { author, firmOf } from '../../../accounts/access'
import { accounts } from '../../../accounts/open'
import { removePerson } from '../../../accounts/people'
import { now } from '../../../utils/now'
import { peopleAnswer } from '../../../utils/peopleAnswer'

/** Removes a person from the firm: his sessions end, what he recorded stays. */
export default defineEventHandler((event) => {
  removePerson(accounts(), firmOf(event).key, getRouterParam(event, 'person')!, author(event), now())
  return peopleAnswer(event)
})
