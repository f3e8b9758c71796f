import { figure, list, must, name, text } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const signedSchema = entry('signed', {
  name: name('Name of the person who signed'),
  role: text('Role'),
  ink: list(
    must(list(must(figure()), 2_000)), 200, 'Pen strokes: x and y alternating, y down, in a field of 1000 by 400',
  ),
  link: text('Id of the client link used to sign'),
})
