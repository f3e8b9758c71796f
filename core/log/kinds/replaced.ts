import { name, note } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('replaced', {
  screen: name('Id of the screen'),
  model: name('Id of the display model now installed'),
  note: note(),
})

/** A screen was replaced by another. */
export const replaced: EntryKindSpec<typeof schema> = {
  schema,
  title: 'screen replaced',
  right: 'wall.visit',
}
