import { flag, must, name, note } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('tested', {
  array: name(),
  passed: must(flag('Whether the test pattern passed')),
  note: note(),
})

/** The test pattern was shown on an array. */
export const tested: EntryKindSpec<typeof schema> = {
  schema,
  title: 'test pattern',
  right: 'wall.visit',
}
