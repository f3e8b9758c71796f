import { name, note, text } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const checkedSchema = entry('checked', {
  hole: name('The hole’s id in the plan'),
  found: name('What was found'),
  note: note(),
  photo: text('Photo in the data folder'),
})
