import { reason } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const remarkSchema = entry('remark', {
  note: reason(),
})
