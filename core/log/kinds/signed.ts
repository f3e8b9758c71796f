import type { signedSchema } from '../schemas/signed'
import type { EntryKindSpec } from './kind'

/** The client has signed for the wall. */
export const signed: EntryKindSpec<typeof signedSchema> = {
  title: 'sign-off',
  right: 'wall.record',
  closes: 'close',
}
