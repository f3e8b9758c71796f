import { flag, must, name, notLess, note, text } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const stepSchema = entry('step', {
  step: name('Id of a work step, a part or tool, or a question'),
  done: must(flag('Whether it is done, on site or answered')),
  minutes: notLess('min', 'Time taken'),
  note: note(),
  photo: text('Photo in the data folder'),
})
