import type { pulledSchema } from '../schemas/pulled'
import type { EntryKindSpec } from './kind'

/** A plate was pulled before a screen hung on it. */
export const pulled: EntryKindSpec<typeof pulledSchema> = {
  title: 'pull test',
  right: 'wall.visit',
}
