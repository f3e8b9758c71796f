import { name, note } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const replacedSchema = entry('replaced', {
  screen: name('Id of the screen'),
  model: name('Id of the display model now installed'),
  note: note(),
})
