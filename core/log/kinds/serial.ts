import { name } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('serial', {
  screen: name('Id of the screen'),
  serial: name('Serial number'),
})

/** The serial number of a screen. */
export const serial: EntryKindSpec<typeof schema> = {
  schema,
  title: 'serial number',
  right: 'wall.visit',
}
