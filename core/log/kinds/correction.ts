import { name, reason } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('correction', {
  corrects: name('Id of the earlier entry that is corrected'),
  note: reason('Reason'),
})

/** An earlier entry does not hold. */
export const correction: EntryKindSpec<typeof schema> = {
  schema,
  title: 'correction',
  right: 'as-corrected',
  cancels: ({ corrects }) => corrects,
}
