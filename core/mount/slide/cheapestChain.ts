import { subtract, liesIn } from '../../intervals'
import type { Interval } from '../../geometry'

/** What a place costs, the gravest first: compared from the left. */
export type Cost = readonly number[]

const EPSILON = 1e-7

/** Whether one cost is less than another. */
export function costsLess(a: Cost, b: Cost): boolean {
  const n = a.findIndex((each, n) => Math.abs(each - b[n]!) > EPSILON)
  return n >= 0 && a[n]! < b[n]!
}
export const plus = (a: Cost, b: Cost): Cost => a.map((each, n) => each + b[n]!)

/** One of a chain: where it may be, the places at which its cost changes, and what a place costs. */
export interface Link {
  range: Interval
  barred: Interval[]
  half: number
  breaks: number[]
  cost: (at: number) => Cost
}

interface State { x: number, cost: Cost, before?: State }

/** Places that each of a chain can have in a best answer: its own, and those just clear of another's. */
function placesOf(links: Link[], clear: number[]): number[][] {
  const rooms = links.map(({ range, barred }) => {
    const free = subtract([range], barred)
    return free.length > 0 ? free : [range]
  })
  const own = links.map(({ breaks }, n) => [...breaks, ...rooms[n]!.flatMap(({ from, to }) => [from, to])])
  const offset = [0]
  for (const distance of clear) offset.push(offset.at(-1)! + distance)
  return rooms.map((free, i) => {
    const places = own.flatMap((places, j) => places.map(x => x + offset[i]! - offset[j]!))
    return [...new Set(places)].filter(x => free.some(stretch => liesIn(stretch, x))).sort((a, b) => a - b)
  })
}

/**
 * The places of a chain that cost least in all with none nearer to its neighbour than their halves; undefined where
 * they cannot keep clear of one another. Exact, by going along it.
 */
export function cheapestChain(links: Link[]): { cost: Cost, at: number[] } | undefined {
  const clear = links.slice(1).map(({ half }, n) => links[n]!.half + half)
  const places = placesOf(links, clear)
  let states: State[] = []
  for (const [i, { cost }] of links.entries()) {
    const reached = states
    let [next, best] = [0, undefined as State | undefined]
    states = []
    for (const x of places[i]!) {
      while (next < reached.length && reached[next]!.x <= x - (clear[i - 1] ?? 0) + EPSILON) {
        if (!best || costsLess(reached[next]!.cost, best.cost)) best = reached[next]
        next++
      }
      if (i > 0 && !best) continue
      states.push({ x, cost: best ? plus(best.cost, cost(x)) : cost(x), ...best && { before: best } })
    }
  }
  const [first, ...others] = states
  if (!first) return undefined
  let last: State | undefined = others.reduce((best, state) => costsLess(state.cost, best.cost) ? state : best, first)
  const { cost } = last
  const at: number[] = []
  for (; last; last = last.before) at.unshift(last.x)
  return { cost, at }
}
