import { name, note } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const pointDoneSchema = entry('point-done', {
  point: name('Id of the entry of the snag'),
  note: note(),
})
