import { length, must, name, oneOf } from '../../job/fields'
import { entry } from './entry'

/** What an entry of this kind says. */
export const fishedSchema = entry('fished', {
  route: name(),
  result: must(oneOf(['through', 'stopped'])),
  y: length('Height of the blockage'),
  lost: oneOf(['weight', 'rod'], 'What of the pull line was left behind the blockage'),
})
