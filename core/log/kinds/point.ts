import { day, must, name, reason } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('point', {
  what: reason('Snag: work still to do'),
  owner: name('Owner'),
  due: must(day('Due date')),
})

/** Work that is still to do, by whom and when. */
export const point: EntryKindSpec<typeof schema> = {
  schema,
  title: 'snag',
  right: 'wall.visit',
}
