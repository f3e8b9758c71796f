import type { Rules, Wall } from '../job'
import type { ArrayPlan } from '../mount'
import type { Finding } from '../finding'
import type { Wiring } from '../wire'
import { levelFindings } from './level'
import { datumOf, levelLineOf, type Datum, type LevelLine } from './datum'
import { marksOf, type Mark } from './marks'

export * from './datum'
export * from './marks'
export * from './accuracy'
export * from './level'
export * from './order'

/** What is marked on a wall, and from where; no level line and no marks while there is no array. */
export interface Marking {
  datum: Datum
  levelLine?: LevelLine
  marks: Mark[]
}

/** Findings about the marks. */
export const markFindings = (wall: Wall, arrays: ArrayPlan[], { levelLine }: Marking, rules: Rules): Finding[] =>
  levelFindings(wall, arrays, levelLine?.turn, rules)

/** Turns a wall's arrays and wiring into marks, each reckoned by itself from the datum and the level line. */
export function mark(wall: Wall, arrays: ArrayPlan[], wiring: Wiring, rules: Rules): Marking {
  const datum = datumOf(wall)
  const levelLine = levelLineOf(wall, arrays, rules)
  return { datum, levelLine, marks: levelLine ? marksOf(arrays, wiring, datum, levelLine) : [] }
}
