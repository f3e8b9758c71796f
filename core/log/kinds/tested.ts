import type { testedSchema } from '../schemas/tested'
import type { EntryKindSpec } from './kind'

/** The test pattern was shown on an array. */
export const tested: EntryKindSpec<typeof testedSchema> = {
  title: 'test pattern',
  right: 'wall.visit',
}
