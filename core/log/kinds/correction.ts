import type { correctionSchema } from '../schemas/correction'
import type { EntryKindSpec } from './kind'

/** An earlier entry does not hold. */
export const correction: EntryKindSpec<typeof correctionSchema> = {
  title: 'correction',
  right: 'as-corrected',
  cancels: ({ corrects }) => corrects,
}
