import type { checkedSchema } from '../schemas/checked'
import type { EntryKindSpec } from './kind'

/** Ids of the planned holes where somebody has looked at the steel that the drill met. */
export interface Checked { checked: Set<string> }

/** What a lead or planner found where the drill met steel. */
export const checked: EntryKindSpec<typeof checkedSchema, Checked> = {
  title: 'hole checked',
  right: 'wall.issue',
  fold: ({ checked }, { hole }) => void checked.add(hole),
}
