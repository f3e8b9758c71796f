import { name } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const serialSchema = entry('serial', {
  screen: name('Id of the screen'),
  serial: name('Serial number'),
})
