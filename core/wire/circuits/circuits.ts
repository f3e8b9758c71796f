import { ampsOf, CONTINUOUS, type Load } from './draw'

/**
 * A circuit that can feed screens: its breaker, A, its voltage, what is on it already, A, and which screens it is for;
 * absent: any.
 */
export interface Feed { id: string, amps: number, volts: number, loaded: number, for?: readonly string[] }

/** What the screens of a circuit draw at most, A, and at which voltage. */
export interface Current { amps: number, volts: number }

/** Which screens each circuit feeds, in the order of the circuits, and those that none has room for. */
export interface Packing { fed: Load[][], left: Load[] }

/** Up to so many screens every way of sharing them out is looked at. */
const EXACT = 12
/** Sums of the same screens in another order differ by no more, A. */
const SLACK = 1e-9

const isFor = ({ for: only }: Feed, { screen }: Load) => !only || only.includes(screen)
const roomOf = ({ amps, loaded }: Feed) => CONTINUOUS * amps - loaded
const fits = (loads: Load[], feed: Feed) =>
  loads.reduce((sum, { power }) => sum + ampsOf(power!, feed.volts), 0) <= roomOf(feed) + SLACK

/** How far the screens of one circuit are apart: half the way round all their middles, mm. */
export function spreadOf(loads: Pick<Load, 'x' | 'y'>[]): number {
  if (loads.length === 0) return 0
  const [xs, ys] = [loads.map(({ x }) => x), loads.map(({ y }) => y)]
  return Math.max(...xs) - Math.min(...xs) + Math.max(...ys) - Math.min(...ys)
}

/**
 * What makes one packing better than another, in this order: fewer screens left, fewer circuits, screens of one circuit
 * nearer together.
 */
export const costOf = ({ fed, left }: Packing): [number, number, number] =>
  [left.length, fed.filter(({ length }) => length > 0).length, fed.reduce((sum, loads) => sum + spreadOf(loads), 0)]

/**
 * Of two ways to feed the same screens, circuits first and then how far theirs are apart: one number, as no wall is
 * this wide.
 */
const CIRCUIT = 1e9

/**
 * The best packing of a few screens: circuit by circuit, for each set of screens that may be fed by then the best way
 * to feed it. Every way of sharing them out is among these. A set is a number, a bit for each screen.
 */
function packExactly(loads: Load[], feeds: Feed[]): Packing {
  const all = 1 << loads.length
  const pick = (set: number) => loads.filter((_, n) => set & (1 << n))
  /** For each set, a value of its screens put together: each set is a smaller one and its first screen. */
  const overSets = (none: number, of: (load: Load) => number, together: (a: number, b: number) => number) => {
    const [values, out] = [loads.map(of), new Float64Array(all).fill(none)]
    for (let set = 1; set < all; set++) out[set] = together(out[set & (set - 1)]!, values[31 - Math.clz32(set & -set)]!)
    return out
  }
  const [left, right, low, high] = [
    overSets(Infinity, ({ x }) => x, Math.min),
    overSets(-Infinity, ({ x }) => x, Math.max),
    overSets(Infinity, ({ y }) => y, Math.min),
    overSets(-Infinity, ({ y }) => y, Math.max),
  ]
  const spreads = left.map((from, set) => set === 0 ? 0 : right[set]! - from + high[set]! - low[set]!)
  let costs = new Float64Array(all).fill(Infinity)
  costs[0] = 0
  /** For each circuit, by the set that is fed once it is, which screens it feeds. */
  const takes = feeds.map((feed) => {
    const amps = overSets(0, ({ power }) => ampsOf(power!, feed.volts), (a, b) => a + b)
    const others = loads.reduce((set, each, n) => isFor(feed, each) ? set : set | (1 << n), 0)
    const possible = Uint8Array.from({ length: all }, (_, set) =>
      Number(set === 0 || (!(set & others) && amps[set]! <= roomOf(feed) + SLACK)),
    )
    const [next, took] = [new Float64Array(all).fill(Infinity), new Int32Array(all)]
    for (let fed = 0; fed < all; fed++) {
      if (costs[fed] === Infinity) continue
      const open = (all - 1) & ~fed
      for (let set = open; ; set = (set - 1) & open) {
        const cost = costs[fed]! + (set === 0 ? 0 : CIRCUIT + spreads[set]!)
        if (possible[set] && cost < next[fed | set]! - SLACK) {
          next[fed | set] = cost
          took[fed | set] = set
        }
        if (set === 0) break
      }
    }
    costs = next
    return took
  })
  const countOf = (set: number) => pick(set).length
  let fed = 0
  for (let set = 0; set < all; set++) {
    const more = costs[set] === Infinity ? -1 : countOf(set) - countOf(fed)
    if (more > 0 || (more === 0 && costs[set]! < costs[fed]! - SLACK)) fed = set
  }
  const unfed = loads.filter((_, n) => !(fed & (1 << n)))
  const sets = takes.reverse().map((took) => {
    const set = took[fed]!
    fed &= ~set
    return set
  })
  return { fed: sets.reverse().map(pick), left: unfed }
}

/**
 * Many screens: the thirstiest first, each on the first circuit that has room; among equals in the order of the wall,
 * so that neighbours stay together.
 */
function packMany(loads: Load[], feeds: Feed[]): Packing {
  const order = [...loads.keys()].sort((a, b) => loads[b]!.power!.max - loads[a]!.power!.max || a - b)
  const byRoom = [...feeds.keys()].sort(
    (a, b) => roomOf(feeds[b]!) * feeds[b]!.volts - roomOf(feeds[a]!) * feeds[a]!.volts || a - b,
  )
  const fed: number[][] = feeds.map(() => [])
  const left: number[] = []
  for (const n of order) {
    const on = byRoom.find(circuit =>
      isFor(feeds[circuit]!, loads[n]!) && fits([...fed[circuit]!, n].map(k => loads[k]!), feeds[circuit]!))
    if (on === undefined) left.push(n)
    else fed[on]!.push(n)
  }
  const told = (list: number[]) => list.sort((a, b) => a - b).map(n => loads[n]!)
  return { fed: fed.map(told), left: told(left) }
}

/**
 * Shares screens out among circuits: whole screens, each circuit to 80 % of its breaker at most with what is on it
 * already (NEC 210.20). As few are left as can be, then as few circuits are used, then neighbours stay together:
 * exactly for up to 12 screens, first-fit decreasing beyond.
 *
 * @param loads screens whose draw is known, in the order of the wall
 */
export const packCircuits = (loads: Load[], feeds: Feed[]): Packing =>
  loads.length <= EXACT ? packExactly(loads, feeds) : packMany(loads, feeds)
