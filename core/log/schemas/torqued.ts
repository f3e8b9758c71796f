import { amount, must, name, note } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const torquedSchema = entry('torqued', {
  screen: name('Id of the screen whose plate was tightened'),
  torque: must(amount('N·m', 10_000, 'Torque that its fasteners were tightened to')),
  note: note(),
})
