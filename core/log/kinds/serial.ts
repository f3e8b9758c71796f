import type { serialSchema } from '../schemas/serial'
import type { EntryKindSpec } from './kind'

/** The serial number of a screen. */
export const serial: EntryKindSpec<typeof serialSchema> = {
  title: 'serial number',
  right: 'wall.visit',
}
