import { words, type Text } from '../units'
import { after, deviation, type Reading } from './seam'
import type { Adjuster, TrueScreen } from './screen'

/** A reading that is to be taken again before anything is turned, and why. */
export interface SecondLook { kind: Reading['kind'], between: string[], end?: string, why: Text }

/** The ends of one seam differ by more than this only where a gauge was misread: a case is stiff; mm. */
const STIFF = 3
/** Taken again, a reading is confirmed by one this near to it, mm. */
const SAME = 0.6

const seamOf = ({ kind, between }: Reading) => `${kind} ${between.join(' ')}`
const placeOf = (reading: Reading) => `${seamOf(reading)} ${reading.end ?? ''}`
const offBy = (reading: Reading) => Math.abs(deviation(reading, reading.value))

/** What all the travel of the adjusters that a reading hangs on could make of it, mm; none where it hangs on none. */
function reachOf({ effects, weight }: Reading, screens: TrueScreen[]): number | undefined {
  const spans = effects.map(({ screen, adjuster, by }) => {
    const travel = screens.find(({ name }) => name === screen)?.travels.find(each => each.adjuster === adjuster)
    return travel ? weight * Math.abs(by) * (travel.most - travel.least) : 0
  })
  return spans.length > 0 ? spans.reduce((sum, span) => sum + span, 0) : undefined
}

function whyAgain(reading: Reading, other: Reading | undefined, screens: TrueScreen[]): Text | undefined {
  const apart = other ? Math.abs(reading.value - other.value) : 0
  if (other && apart > STIFF && offBy(reading) >= offBy(other)) {
    return words`It differs by ${apart} from the other end of its seam; a stiff case seldom allows over ${STIFF}`
  }
  const reach = reachOf(reading, screens)
  if (reach === undefined || offBy(reading) <= reach) return undefined
  return words`No adjuster moves so far: all their travel is ${reach}`
}

/**
 * The readings that are to be taken again before anything is turned: of two ends of a seam that a stiff case does not
 * allow the one that is farther off, and what no travel explains. One that was read the same before is taken as it is.
 *
 * @param before what was read the round before, as it would be now
 * @param screens with the whole travel of their adjusters
 */
export function readAgain(readings: Reading[], before: Reading[], screens: TrueScreen[]): SecondLook[] {
  const earlier = new Map(before.map(reading => [placeOf(reading), reading.value]))
  return readings.filter(({ kind }) => kind !== 'roll').flatMap((reading) => {
    const other = readings.find(each => seamOf(each) === seamOf(reading) && each.end !== reading.end)
    const why = whyAgain(reading, other, screens)
    const known = earlier.get(placeOf(reading))
    if (!why || (known !== undefined && Math.abs(known - reading.value) <= SAME)) return []
    return [{ kind: reading.kind, between: reading.between, ...reading.end && { end: reading.end }, why }]
  })
}

/** The gaps that were not read and that turning so would close, as they are taken to be. */
export function toRead(unread: Reading[], by: (screen: string, adjuster: Adjuster) => number): SecondLook[] {
  const closed = unread.filter(reading => after(reading, by) < Math.min(0, reading.value) - 1e-6)
  return closed.map(({ kind, between, end, value }) => {
    const why = words`It was not read, and what is turned would close it if it is ${value} now`
    return { kind, between, ...end && { end }, why }
  })
}
