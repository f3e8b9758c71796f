import type { Checked } from './checked'
import type { Holes } from './hole'
import type { Hung } from './hung'
import type { IssuedSoFar } from './issued'
import type { Overrides } from './override'
import type { SeamsRead } from './seams'
import type { StepsDone } from './step'

/** What stands on a wall so far, while its log is gone through entry by entry: the parts of all kinds together. */
export interface Standing extends Checked, Holes, Hung, IssuedSoFar, Overrides, SeamsRead, StepsDone {}

/** Before the first entry. */
export const nothingStanding = (): Standing => ({
  checked: new Set(),
  holes: new Map(),
  corrected: new Set(),
  filled: [],
  hung: new Set(),
  steps: new Map(),
  seams: new Map(),
  overrides: new Map(),
  issued: [],
})
