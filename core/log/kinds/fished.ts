import type { fishedSchema } from '../schemas/fished'
import type { EntryKindSpec } from './kind'

/** Whether a line came through a route, or where it stopped. */
export const fished: EntryKindSpec<typeof fishedSchema> = {
  title: 'pull line',
  right: 'wall.record',
}
