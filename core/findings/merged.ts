import type { Finding } from '../finding'
import type { ArrayPlan } from '../mount'
import { textToString, type UnitSystem } from '../units'
import { groupAlike } from './alike'
import { screenLabel } from '../job/screenLabel'

/** Findings that say the same of several places, in words for paper. */
export interface Merged { finding: Finding, text: string }

/** What holes and screens are called, by their ids. */
function namesOf(arrays: ArrayPlan[]): Map<string, string> {
  return new Map(arrays.flatMap(({ positions }) => positions.flatMap(({ id, row, column, holes = [] }) => [
    [id, screenLabel({ row, column })] as const,
    ...holes.map(hole => [hole.id, `${screenLabel({ row, column })} ${hole.row} ${hole.rank}`] as const),
  ])))
}

/**
 * Findings as paper says them: those alike once, the first in full and the others by their places, as the screen has
 * them.
 *
 * @example
 * mergedForPaper(findings, arrays, 'metric')[0].text
 * // 'Top hole of R1 C1 misses stud 4 by 3 mm. The same at 2 other places: R1 C2 top 1, R1 C3 top 1.'
 */
export function mergedForPaper(findings: Finding[], arrays: ArrayPlan[], units: UnitSystem): Merged[] {
  const names = namesOf(arrays)
  return groupAlike(findings).map(([first, ...others]): Merged => {
    const told = textToString(first!.message, units)
    if (others.length === 0) return { finding: first!, text: told }
    const places = others.map(({ subject }) => names.get(subject.id)).filter(name => name !== undefined)
    const named = places.length === others.length ? `: ${places.join(', ')}` : ''
    return {
      finding: first!,
      text: `${told} The same at ${others.length} other ${others.length === 1 ? 'place' : 'places'}${named}.`,
    }
  })
}
