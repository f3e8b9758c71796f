import type { overrideEndedSchema } from '../schemas/overrideEnded'
import type { EntryKindSpec } from './kind'
import { overrideKey, type Overrides } from './override'

/** What was overridden is a stop again. */
export const overrideEnded: EntryKindSpec<typeof overrideEndedSchema, Overrides> = {
  title: 'override removed',
  right: 'wall.issue',
  fold: ({ overrides }, ended) => void overrides.delete(overrideKey(ended)),
}
