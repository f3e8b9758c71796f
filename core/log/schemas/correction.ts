import { name, reason } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const correctionSchema = entry('correction', {
  corrects: name('Id of the earlier entry that is corrected'),
  note: reason('Reason'),
})
