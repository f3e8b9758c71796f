import { name, note, text } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const issuedSchema = entry('issued', {
  revision: name('A, B, …'),
  frozen: text('Id of the frozen revision of the wall'),
  note: note(),
})
