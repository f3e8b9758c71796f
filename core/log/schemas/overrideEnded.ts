import { name, note } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const overrideEndedSchema = entry('override-ended', {
  code: name('Code of the finding'),
  subject: name('Id of its subject'),
  reason: note(),
})
