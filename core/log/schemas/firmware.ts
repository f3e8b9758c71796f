import { name } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const firmwareSchema = entry('firmware', {
  screen: name('Id of the screen'),
  version: name('Firmware version'),
})
