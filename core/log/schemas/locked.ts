import { flag, name, note } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const lockedSchema = entry('locked', {
  screen: name('Id of the screen'),
  unlocked: flag('True if the lock was opened; absent if it was set'),
  note: note(),
})
