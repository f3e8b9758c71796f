import type { Blocking, Wall } from '../job'
import type { Bay } from './bays'

/**
 * Blocking across a bay at a height, and how likely it is there: 1 where it was found; and what of a pull line was left
 * behind it.
 */
export interface Across { y: number, likely: number, lost?: Blocking['lost'] }

/**
 * How likely a bay has blocking at half its height where nobody looked, and at the height at which a bay beside it has
 * some.
 */
const UNSEEN = 0.3
const BESIDE_FOUND = 0.7
const SUSPECTED = 0.5
/** A line that went through tells nothing of what lies nearer to its ends, mm. */
const AT_ENDS = 20

/**
 * What stands, or may stand, across a bay: rows of blocking run over the wall, or are known of one bay only, and are
 * then likely in the others at that height; where a line went through, nothing is.
 */
export function blockingIn(
  { blocking, passed = [], height }: Pick<Wall, 'blocking' | 'passed' | 'height'>,
  bay: Bay,
): Across[] {
  const isHere = ({ x1 = -Infinity, x2 = Infinity }: { x1?: number, x2?: number }) => x1 < bay.to && x2 > bay.from
  const went = passed.filter(isHere)
  const isClear = (y: number) =>
    went.some(({ y1, y2 }) => y >= Math.min(y1, y2) + AT_ENDS && y <= Math.max(y1, y2) - AT_ENDS)
  const rows: Across[] = (blocking ?? []).map(row => ({
    y: row.y,
    likely: !row.found ? SUSPECTED : isHere(row) ? 1 : BESIDE_FOUND,
    ...row.lost !== undefined && isHere(row) && { lost: row.lost },
  }))
  const unseen: Across[] = blocking ? [] : [{ y: height / 2, likely: UNSEEN }]
  return [...rows, ...unseen].filter(({ y, likely }) => likely === 1 || !isClear(y))
}
