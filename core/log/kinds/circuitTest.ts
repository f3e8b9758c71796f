import type { circuitTestSchema } from '../schemas/circuitTest'
import type { EntryKindSpec } from './kind'

/** A circuit was re-energised and tested before its screens were pushed home. */
export const circuitTest: EntryKindSpec<typeof circuitTestSchema> = {
  title: 'circuit test',
  right: 'wall.record',
}
