import type { firmwareSchema } from '../schemas/firmware'
import type { EntryKindSpec } from './kind'

/** The firmware that runs on a screen. */
export const firmware: EntryKindSpec<typeof firmwareSchema> = {
  title: 'firmware version',
  right: 'wall.visit',
}
