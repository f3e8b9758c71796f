import type { turnedSchema } from '../schemas/turned'
import type { EntryKindSpec } from './kind'

/** Which adjusters were turned, and how far. */
export const turned: EntryKindSpec<typeof turnedSchema> = {
  title: 'adjuster turns',
  right: 'wall.visit',
}
