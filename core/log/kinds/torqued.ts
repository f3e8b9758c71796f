import type { torquedSchema } from '../schemas/torqued'
import type { EntryKindSpec } from './kind'

/** The fasteners of a plate were tightened to a torque. */
export const torqued: EntryKindSpec<typeof torquedSchema> = {
  title: 'torque',
  right: 'wall.visit',
}
