import type { hungSchema } from '../schemas/hung'
import type { EntryKindSpec } from './kind'

/** Ids of the screens that hang. */
export interface Hung { hung: Set<string> }

/** A screen hangs. */
export const hung: EntryKindSpec<typeof hungSchema, Hung> = {
  title: 'screen hung',
  right: 'wall.record',
  fold: ({ hung }, { screen }) => void hung.add(screen),
}
