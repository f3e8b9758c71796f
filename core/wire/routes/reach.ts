import type { Point } from '../../geometry'
import type { Rules, Source } from '../../job'
import { bayNear } from '../bays'
import { placeOf } from '../sources'
import type { BoxPlan } from '../boxes/boxes'
import { reachedFrom, type Keeping, type Reached } from './reached'
import { isOpen, placeBeyond, placeIn, SIDES, type VoidSide, type Ways } from './ways'

/** Where a way begins: at the lower box of a kit or the box before it on its circuit, otherwise at a source. */
export interface Beginning { before?: BoxPlan, source: Source | undefined }

/** What is reached from where, remembered, as all boxes that are fed from one place ask the same. */
export type Reaching = (starts: number[], keeping: Keeping, goals: readonly number[]) => Reached
export function reaching(ways: Ways): Reaching {
  const known = new Map<string, Reached>()
  return (starts, keeping, goals) => {
    const { hole, avoid, only, perMetre = 0 } = keeping
    const key = `${starts[0]}/${starts.length} ${hole} ${[...avoid].join()} ${only ?? ''} ${perMetre}`
    const before = known.get(key)
    if (before && goals.every(goal => before.settled[goal])) return before
    // From a box only those that are asked for: the others of its circuit are near. All that a source feeds ask anew.
    const reached = reachedFrom(ways, starts, keeping, before || starts.length > 1 ? undefined : goals)
    known.set(key, reached)
    return reached
  }
}

/** The places at which a bundle begins, where that is on the wall, or in which void; and the only void it may go by. */
export interface Start { starts: number[], at?: Point, side?: VoidSide, only?: VoidSide }
/**
 * Where a bundle begins: at the box before it or its source, or, where that is elsewhere, anywhere in what is open
 * above or below. One that begins on the wall keeps to the void that the house rule names, where it can.
 */
export function startsOf(ways: Ways, { before, source }: Beginning, { cableEntry = 'cheaper' }: Rules): Start[] {
  const { wall, bays } = ways
  const at = before ?? (source && placeOf(source, wall))
  if (at) {
    const start: Start = { starts: [placeIn(ways, bayNear(ways, at.x), at.y)], at }
    return cableEntry === 'cheaper' ? [start] : [{ ...start, only: cableEntry }, start]
  }
  return SIDES.filter(side => isOpen(wall, side)).map(side => ({
    side,
    starts: bays.map((_, n) => placeBeyond(ways, side, n)),
  }))
}

/** The side that the house rule names first, and then the quickest. */
export const inOrder = <Way extends Pick<Start, 'side' | 'only'> & { minutes: number }>(
  found: Way[],
  { cableEntry = 'cheaper' }: Rules,
): Way[] => {
  const isNamed = ({ side, only }: Way) => Number((side ?? only) === cableEntry)
  return found.sort((a, b) => isNamed(b) - isNamed(a) || a.minutes - b.minutes)
}
