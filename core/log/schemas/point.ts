import { day, must, name, reason } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const pointSchema = entry('point', {
  what: reason('Snag: work still to do'),
  owner: name('Owner'),
  due: must(day('Due date')),
})
