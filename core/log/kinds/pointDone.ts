import { name, note } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('point-done', {
  point: name('Id of the entry of the snag'),
  note: note(),
})

/** A snag is closed. */
export const pointDone: EntryKindSpec<typeof schema> = {
  schema,
  title: 'snag closed',
  right: 'wall.visit',
}
