import { mayBore } from './bore'
import { Nearest } from './nearest'
import type { VoidSide, Ways } from './ways'

/**
 * How every place is reached in least time: its minutes, Infinity where it is not, and the place before it, -1 at the
 * beginning; and of which that is settled.
 */
export interface Reached { minutes: Float64Array, before: Int32Array, settled: Uint8Array }

/** What a bundle keeps to on its way. */
export interface Keeping {
  /** Diameter of what is bored for it, mm. */
  hole: number
  /** Bays that it does not enter, by index. */
  avoid: ReadonlySet<number>
  /** The only void that it may go by; absent: either. */
  only?: VoidSide
  /** What its method takes more a metre, min. */
  perMetre?: number
}

/** By place: 1 where a bundle may not go. */
function closedTo({ bays, levels }: Ways, { avoid, only }: Keeping): Uint8Array {
  const [B, L] = [bays.length, levels.length]
  const closed = new Uint8Array(B * L + 2 * B)
  for (const bay of avoid) closed.fill(1, bay * L, (bay + 1) * L)
  if (only === 'above') closed.fill(1, B * L + B)
  if (only === 'below') closed.fill(1, B * L, B * L + B)
  return closed
}

/**
 * Every place that can be reached from some, each in least time (Dijkstra), and among equals with fewest openings.
 *
 * @param goals where to stop once all are settled; absent: every place
 */
export function reachedFrom(ways: Ways, starts: number[], keeping: Keeping, goals?: readonly number[]): Reached {
  const { graph } = ways
  const { first, to } = graph
  const { hole, perMetre = 0 } = keeping
  const closed = closedTo(ways, keeping)
  const minutes = new Float64Array(closed.length).fill(Infinity)
  const before = new Int32Array(closed.length).fill(-1)
  const settled = new Uint8Array(closed.length)
  const wanted = goals && new Set(goals)
  let missing = wanted ? wanted.size : Infinity
  const mayCross = mayBore(ways.wall, hole)
  const open = new Nearest()
  for (const start of starts) {
    minutes[start] = 0
    open.add(start, 0)
  }
  for (let here = open.take(); here !== undefined; here = open.take()) {
    if (settled[here]) continue
    settled[here] = 1
    if (wanted?.has(here) && --missing === 0) return { minutes, before, settled }
    for (let step = first[here]!; step < first[here + 1]!; step++) {
      const next = to[step]!
      const total = minutes[here]! + graph.minutes[step]! + perMetre * graph.metres[step]!
      if (total >= minutes[next]! || closed[next] || (!mayCross && graph.bored[step])) continue
      minutes[next] = total
      before[next] = here
      open.add(next, total)
    }
  }
  return { minutes, before, settled: settled.fill(1) }
}

/** The places on the way to one, from the beginning on. */
export function placesTo({ before }: Reached, goal: number): number[] {
  const places = [goal]
  for (let place = before[goal]!; place >= 0; place = before[place]!) places.push(place)
  return places.reverse()
}
