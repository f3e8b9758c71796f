import type { photoSchema } from '../schemas/photo'
import type { EntryKindSpec } from './kind'

/** A photo of the wall or of a screen. */
export const photo: EntryKindSpec<typeof photoSchema> = {
  title: 'photo',
  right: 'wall.visit',
}
