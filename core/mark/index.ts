import type { Rules, Wall } from '../job'
import type { ArrayPlan } from '../mount'
import { datumOf, levelLineOf, type Datum, type LevelLine } from './datum'
import { marksOf, type Mark } from './marks'

export * from './datum'
export * from './marks'
export * from './accuracy'

/** What is marked on a wall, and from where; no level line and no marks while there is no array. */
export interface Marking {
  datum: Datum
  levelLine?: LevelLine
  marks: Mark[]
}

/** Turns a wall's arrays into marks, each reckoned by itself from the datum and the level line. */
export function mark(wall: Wall, arrays: ArrayPlan[], rules: Rules): Marking {
  const datum = datumOf(wall)
  const levelLine = levelLineOf(wall, arrays, rules)
  return { datum, levelLine, marks: levelLine ? marksOf(arrays, datum, levelLine) : [] }
}
