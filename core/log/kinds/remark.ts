import { reason } from '../../job/fields'
import { entry, type EntryKindSpec } from './kind'

const schema = entry('remark', {
  note: reason(),
})

/** What a person wants to have said. */
export const remark: EntryKindSpec<typeof schema> = {
  schema,
  title: 'remark',
  right: 'wall.visit',
}
