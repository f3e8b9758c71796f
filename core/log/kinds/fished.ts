import { length, must, name, oneOf } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('fished', {
  route: name(),
  result: must(oneOf(['through', 'stopped'])),
  y: length('Height of the blockage'),
})

/** Whether a line came through a route, or where it stopped. */
export const fished: EntryKindSpec<typeof schema> = {
  schema,
  title: 'pull line',
  right: 'wall.record',
}
