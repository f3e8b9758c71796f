import type { Interval } from '../geometry'
import type { Wall } from '../job'
import { signsOf } from './sign'

/** So far to either side a reading tells something of the wall, mm: less than half of any usual bay. */
const TELLS = 150

/**
 * Whether nothing at all is known of a stretch of wall: no reading, for a member or against one, in it or near
 * it. Where the framing was entered as known, all of it is.
 *
 * @returns a function, so that a wall's readings are carried over once
 */
export function unsurveyedIn(wall: Wall): (stretch: Interval) => boolean {
  if (wall.structure.members?.length) return () => false
  const places = signsOf(wall).map(({ x }) => x)
  return ({ from, to }) => !places.some(x => x >= from - TELLS && x <= to + TELLS)
}
