import type { lockedSchema } from '../schemas/locked'
import type { EntryKindSpec } from './kind'

/** A screen’s lock was set, or opened. */
export const locked: EntryKindSpec<typeof lockedSchema> = {
  title: 'lock',
  right: 'wall.visit',
}
