import { flag, name, note } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('locked', {
  screen: name('Id of the screen'),
  unlocked: flag('True if the lock was opened; absent if it was set'),
  note: note(),
})

/** A screen’s lock was set, or opened. */
export const locked: EntryKindSpec<typeof schema> = {
  schema,
  title: 'lock',
  right: 'wall.visit',
}
