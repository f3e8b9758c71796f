import { figure, list, must, name, reason } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const overrideSchema = entry('override', {
  code: name('Code of the finding'),
  subject: name('Id of its subject'),
  reason: reason('Reason for building it anyway'),
  figures: list(must(figure()), 50, 'Figures of the stop’s sentence at that time, as earlier versions recorded them'),
  facts: list(
    must(figure()), 50,
    'What the stop stated in figures at that time, in ascending order; when it changes, the override lapses',
  ),
})
