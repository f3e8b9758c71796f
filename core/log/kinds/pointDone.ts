import type { pointDoneSchema } from '../schemas/pointDone'
import type { EntryKindSpec } from './kind'

/** A snag is closed. */
export const pointDone: EntryKindSpec<typeof pointDoneSchema> = {
  title: 'snag closed',
  right: 'wall.visit',
}
