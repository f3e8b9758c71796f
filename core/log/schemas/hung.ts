import { name, note } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const hungSchema = entry('hung', {
  screen: name('Id of the screen'),
  note: note(),
})
