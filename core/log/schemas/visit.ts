import { must, note, oneOf } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const visitSchema = entry('visit', {
  purpose: must(oneOf(['service', 'inspection'], 'Purpose')),
  note: note(),
})
