import { amount, flag, must, name, note } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const pulledSchema = entry('pulled', {
  screen: name('Id of the screen whose plate was pulled'),
  force: must(amount('N', 100_000, 'Force of the pull test')),
  held: must(flag('Whether nothing moved')),
  note: note(),
})
