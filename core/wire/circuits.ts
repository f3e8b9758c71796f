import { ampsOf, CONTINUOUS, type Load } from './draw'

/** A circuit that can feed screens: its breaker, A, its voltage, and what is on it already, A. */
export interface Feed { id: string, amps: number, volts: number, loaded: number }

/** Which screens each circuit feeds, in the order of the circuits, and those that none has room for. */
export interface Packing { fed: Load[][], left: Load[] }

/** Up to so many screens every way of sharing them out is looked at. */
const EXACT = 12
/** Sums of the same screens in another order differ by no more, A. */
const SLACK = 1e-9

const roomOf = ({ amps, loaded }: Feed) => CONTINUOUS * amps - loaded
const fits = (loads: Load[], feed: Feed) => loads.reduce((sum, { power }) => sum + ampsOf(power!, feed.volts), 0) <= roomOf(feed) + SLACK

/** How far the screens of one circuit are apart: half the way round all their middles, mm. */
export function spreadOf(loads: Pick<Load, 'x' | 'y'>[]): number {
  if (loads.length === 0) return 0
  const [xs, ys] = [loads.map(({ x }) => x), loads.map(({ y }) => y)]
  return Math.max(...xs) - Math.min(...xs) + Math.max(...ys) - Math.min(...ys)
}

/** What makes one packing better than another, in this order: fewer screens left, fewer circuits, screens of one circuit nearer together. */
export const costOf = ({ fed, left }: Packing): [number, number, number] =>
  [left.length, fed.filter(({ length }) => length > 0).length, fed.reduce((sum, loads) => sum + spreadOf(loads), 0)]

const isLess = (a: readonly number[], b: readonly number[]): boolean => {
  const at = a.findIndex((value, n) => Math.abs(value - b[n]!) > 1e-6)
  return at >= 0 && a[at]! < b[at]!
}

/**
 * The best packing of a few screens: circuit by circuit, for each set of screens that may be fed by then the best way
 * to feed it. Every way of sharing them out is among these.
 */
function packExactly(loads: Load[], feeds: Feed[]): Packing {
  const all = 1 << loads.length
  const pick = (set: number) => loads.filter((_, n) => set & (1 << n))
  const spreads = Array.from({ length: all }, (_, set) => spreadOf(pick(set)))
  interface Way { used: number, spread: number, last: number, before?: Way }
  let ways = new Map<number, Way>([[0, { used: 0, spread: 0, last: 0 }]])
  for (const feed of feeds) {
    const possible = Array.from({ length: all }, (_, set) => set === 0 || fits(pick(set), feed))
    const next = new Map<number, Way>()
    for (const [fed, way] of ways) {
      const open = (all - 1) & ~fed
      for (let set = open; ; set = (set - 1) & open) {
        if (possible[set]) {
          const known = next.get(fed | set)
          const [used, spread] = [way.used + (set === 0 ? 0 : 1), way.spread + spreads[set]!]
          if (!known || isLess([used, spread], [known.used, known.spread])) next.set(fed | set, { used, spread, last: set, before: way })
        }
        if (set === 0) break
      }
    }
    ways = next
  }
  const [fed, way] = [...ways].reduce((best, each) => {
    const cost = ([set, { used, spread }]: [number, Way]) => [loads.length - pick(set).length, used, spread]
    return isLess(cost(each), cost(best)) ? each : best
  })
  const sets: number[] = []
  for (let at: Way | undefined = way; at?.before; at = at.before) sets.unshift(at.last)
  return { fed: sets.map(pick), left: loads.filter((_, n) => !(fed & (1 << n))) }
}

/** Many screens: the thirstiest first, each on the first circuit that has room; among equals in the order of the wall, so that neighbours stay together. */
function packMany(loads: Load[], feeds: Feed[]): Packing {
  const order = [...loads.keys()].sort((a, b) => loads[b]!.power!.max - loads[a]!.power!.max || a - b)
  const byRoom = [...feeds.keys()].sort((a, b) => roomOf(feeds[b]!) * feeds[b]!.volts - roomOf(feeds[a]!) * feeds[a]!.volts || a - b)
  const fed: number[][] = feeds.map(() => [])
  const left: number[] = []
  for (const n of order) {
    const on = byRoom.find(circuit => fits([...fed[circuit]!, n].map(k => loads[k]!), feeds[circuit]!))
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
export const packCircuits = (loads: Load[], feeds: Feed[]): Packing => loads.length <= EXACT ? packExactly(loads, feeds) : packMany(loads, feeds)
