import { name, note, text } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const photoSchema = entry('photo', {
  photo: name('Photo in the data folder'),
  screen: text('Id of the screen shown'),
  note: note(),
})
