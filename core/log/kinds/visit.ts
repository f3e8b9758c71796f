import { must, note, oneOf } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('visit', {
  purpose: must(oneOf(['service', 'inspection'], 'Purpose')),
  note: note(),
})

/** A visit to a wall that was handed over. */
export const visit: EntryKindSpec<typeof schema> = {
  schema,
  title: 'visit',
  right: 'wall.visit',
}
