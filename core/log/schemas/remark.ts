import { reason, text } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const remarkSchema = entry('remark', {
  note: reason(),
  name: text('Name as a client typed it'),
  link: text('Id of the client link used'),
})
