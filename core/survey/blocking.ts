import type { Evidence, Wall } from '../job'

/** A piece of blocking is met so far above and below the height that is known of it, mm. */
const BAND = 75
/** Two nails that met something so far apart in height met no one piece of blocking, mm. */
export const APART = 150
/** A nail beside one that met something, as near as this, would have met blocking there too, mm. */
const BESIDE = 60

type Place = { x: number, y: number }

/** Whether blocking is known to run at a place: what is met there may be it. */
export function isInBlocking({ blocking = [] }: Pick<Wall, 'blocking'>, { x, y }: Place): boolean {
  return blocking.some(
    ({ found, y: at, x1 = -Infinity, x2 = Infinity }) => found && Math.abs(y - at) <= BAND && x >= x1 && x <= x2,
  )
}

/** Whether the surveyor has ruled blocking out at a place. */
export function isRuledOut({ blockingRuledOut = [] }: Pick<Wall, 'blockingRuledOut'>, { x, y }: Place): boolean {
  return blockingRuledOut.some(({ x1, x2, y1, y2 }) => x >= x1 && x <= x2 && y >= y1 && y <= y2)
}

/**
 * Whether a nail that met something met no blocking for sure: it was ruled out there, or nails close by to both sides
 * met nothing at that height.
 */
export function metNoBlocking(wall: Pick<Wall, 'blockingRuledOut'>, hit: Place, misses: Place[]): boolean {
  if (isRuledOut(wall, hit)) return true
  const level = misses.filter(({ x, y }) => Math.abs(y - hit.y) <= BAND && Math.abs(x - hit.x) <= BESIDE)
  return level.some(({ x }) => x < hit.x) && level.some(({ x }) => x > hit.x)
}

/** A reading as far as it may have met blocking. */
interface Met {
  reading: Pick<Evidence, 'method' | 'y'>
  x: number
  speaksFor: boolean
}

const MEETS = new Set<Evidence['method']>(['probe', 'pilot', 'magnet'])
/** Whether a sign says nothing of a stud, as what it met may be blocking that is known to run there. */
export const meetsBlocking = (wall: Pick<Wall, 'blocking'>, { reading, x, speaksFor }: Met): boolean =>
  speaksFor && MEETS.has(reading.method) && isInBlocking(wall, { x, y: reading.y })
