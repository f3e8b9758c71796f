import { name, note, text } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('photo', {
  photo: name('Photo in the data folder'),
  screen: text('Id of the screen shown'),
  note: note(),
})

/** A photo of the wall or of a screen. */
export const photo: EntryKindSpec<typeof schema> = {
  schema,
  title: 'photo',
  right: 'wall.visit',
}
