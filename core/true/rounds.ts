import { closedRound } from './corner'
import type { TrueScreen } from './screen'
import type { Reading } from './seam'

/**
 * One reading of a seam by a feeler gauge is true to this, mm, one standard deviation; and what was turned since adds
 * so much a round.
 */
const READ = 0.1
const TURNED = 0.04
/**
 * Two readings of one place, one of them carried over a round of turning, differ by more than this once in sixteen
 * thousand: one that does was not turned as it was reported, or was read wrong, and tells nothing now, mm.
 */
const APART = 4 * Math.sqrt(2 * READ ** 2 + TURNED ** 2)

const keyOf = ({ kind, between, end }: Reading) => `${kind} ${between.join(' ')} ${end ?? ''}`

/**
 * Readings of the last round, each with what earlier rounds tell of the same place once what was turned since is taken
 * off: weighed by how true each is. Two rounds read twice, so that what the gauge was out is
 * halved; and where four cases meet, the readings round them have to come back to where they began.
 *
 * @param earlier the readings of earlier rounds, the first first, as they would be now
 */
export function fused(readings: Reading[], earlier: Reading[][], screens: TrueScreen[]): Reading[] {
  if (earlier.length === 0) return readings
  const rounds = [...earlier].reverse().map(round => new Map(round.map(reading => [keyOf(reading), reading.value])))
  return closedRound(readings.map((reading) => {
    let [sum, weight] = [reading.value / READ ** 2, 1 / READ ** 2]
    rounds.forEach((round, n) => {
      const value = round.get(keyOf(reading))
      if (value === undefined || Math.abs(value - reading.value) > APART) return
      const worth = 1 / (READ ** 2 + (n + 1) * TURNED ** 2)
      sum += value * worth
      weight += worth
    })
    return { ...reading, value: sum / weight }
  }), screens)
}
