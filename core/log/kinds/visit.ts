import type { visitSchema } from '../schemas/visit'
import type { EntryKindSpec } from './kind'

/** A visit to a wall that was handed over. */
export const visit: EntryKindSpec<typeof visitSchema> = {
  title: 'visit',
  right: 'wall.visit',
}
