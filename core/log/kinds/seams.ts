import type { InferType } from 'yup'
import type { seamsSchema } from '../schemas/seams'
import type { EntryKindSpec } from './kind'

/** What was read last of each array. */
export interface SeamsRead { seams: Map<string, InferType<typeof seamsSchema> & { kind: 'seams' }> }

/** What was read of the seams of an array. */
export const seams: EntryKindSpec<typeof seamsSchema, SeamsRead> = {
  title: 'seam readings',
  right: 'wall.visit',
  fold: ({ seams }, entry) => void seams.set(entry.array, entry),
}
