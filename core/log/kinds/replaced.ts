import type { replacedSchema } from '../schemas/replaced'
import type { EntryKindSpec } from './kind'

/** A screen was replaced by another. */
export const replaced: EntryKindSpec<typeof replacedSchema> = {
  title: 'screen replaced',
  right: 'wall.visit',
}
