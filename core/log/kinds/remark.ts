import type { remarkSchema } from '../schemas/remark'
import type { EntryKindSpec } from './kind'

/** What a person wants to have said. */
export const remark: EntryKindSpec<typeof remarkSchema> = {
  title: 'remark',
  right: 'wall.visit',
}
