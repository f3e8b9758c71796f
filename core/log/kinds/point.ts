import type { pointSchema } from '../schemas/point'
import type { EntryKindSpec } from './kind'

/** Work that is still to do, by whom and when. */
export const point: EntryKindSpec<typeof pointSchema> = {
  title: 'snag',
  right: 'wall.visit',
}
