import { flag, must, name, note } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const testedSchema = entry('tested', {
  array: name(),
  passed: must(flag('Whether the test pattern passed')),
  note: note(),
})
