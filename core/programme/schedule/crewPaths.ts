import type { Interval } from '../../geometry'
import type { Minute } from '../clock'
import { minutesUntil } from '../windows'

/** Work at sites that are open alike, min, and when each of some crews can be at it. */
export interface Load { sites: string[], minutes: number, times: Interval[][] }

/** Leaving one load at a moment for another, and the minutes that could have been worked at both by then. */
interface Leg { from: number, to: number, leaves: Minute, arrives: Minute, doneFrom: number, doneTo: number }

/**
 * The legs of a crew's possible ways up to a moment, in order of leaving: away when a place closes, or so as to be
 * there when one opens.
 */
export function legsOf(
  times: Interval[][],
  travel: (from: number, to: number) => number,
  begin: Minute,
  end: Minute,
): Leg[] {
  const legs = times.flatMap((here, from) =>
    times.flatMap((there, to): Leg[] => {
      if (from === to || here.length === 0 || there.length === 0) return []
      const way = travel(from, to)
      const moments = new Set([...here.map(each => each.to), ...there.map(each => each.from - way)])
      return [...moments]
        .filter(moment => moment > begin && moment + way < end)
        .map(leaves => ({
          from,
          to,
          leaves,
          arrives: leaves + way,
          doneFrom: minutesUntil(here, leaves),
          doneTo: minutesUntil(there, leaves + way),
        }))
    }),
  )
  return legs.sort((a, b) => a.leaves - b.leaves)
}

/**
 * The most that a crew earns by a moment, at one place at a time and on the way between, where a minute at each load
 * has a price; and the minutes at each load on that way. Shifting when it leaves changes what it earns in a straight
 * line between the moments at which places open and close, so that those are enough.
 */
export function bestPath(
  times: Interval[][],
  legs: Leg[],
  prices: number[],
  moment: Minute,
): { worth: number, minutes: number[] } {
  // What is earned by being at a load, less what it would be worth to have been there from the beginning; and by which
  // leg it was reached.
  const here = times.map(() => ({ worth: 0, by: -1 }))
  const cameBy = new Int32Array(legs.length)
  const onTheWay: { leg: number, worth: number }[] = []
  let open = 0
  const arriveUntil = (until: Minute) => {
    for (; open < onTheWay.length && legs[onTheWay[open]!.leg]!.arrives <= until; open++) {
      const { leg, worth } = onTheWay[open]!
      const { to, doneTo } = legs[leg]!
      if (worth - prices[to]! * doneTo > here[to]!.worth) here[to] = { worth: worth - prices[to]! * doneTo, by: leg }
    }
  }
  for (const [n, leg] of legs.entries()) {
    if (leg.leaves >= moment) break
    arriveUntil(leg.leaves)
    cameBy[n] = here[leg.from]!.by
    let at = onTheWay.length
    while (at > open && legs[onTheWay[at - 1]!.leg]!.arrives > leg.arrives) at--
    onTheWay.splice(at, 0, { leg: n, worth: here[leg.from]!.worth + prices[leg.from]! * leg.doneFrom })
  }
  arriveUntil(moment)
  const ends = times.map((each, load) => here[load]!.worth + prices[load]! * minutesUntil(each, moment))
  const last = ends.indexOf(Math.max(...ends))
  const minutes = times.map(() => 0)
  let [load, by, until] = [last, here[last]?.by ?? -1, minutesUntil(times[last] ?? [], moment)]
  while (by >= 0) {
    const leg = legs[by]!
    minutes[load]! += until - leg.doneTo
    ;[load, by, until] = [leg.from, cameBy[by]!, leg.doneFrom]
  }
  minutes[load]! += until
  return { worth: ends[last] ?? 0, minutes }
}

/** What is earned is a sum of products: so small a share of it that is wanting is rounding, and not work. */
const ROUNDING = 1e-9

/**
 * So often prices are changed in vain before they are taken as they are; and of so many loads at most is it calculated
 * at all.
 */
const [IN_VAIN, MOST_LOADS] = [12, 40]

/**
 * A moment before which some crews cannot have done some work, each at one place at a time and with the way between
 * sites: a Lagrangian bound. Whatever a minute at each load is worth, the crews cannot have done it all as long as they
 * cannot together earn what it is all worth; prices are raised where too little is done until that moment becomes no
 * later. A crew may in this be here and there by halves, so that it is never later than the true one.
 *
 * @param travel from one site to another, min
 * @param least a moment before which it is not over, as is known
 * @param most a moment beyond which it is not looked
 * @returns at least `least`, at most `most`
 */
export function momentByPaths(
  loads: Load[],
  travel: (from: string, to: string) => number,
  begin: Minute,
  least: Minute,
  most: Minute,
): Minute {
  if (loads.length < 2 || loads.length > MOST_LOADS) return least
  // The shortest way there is, over others too: what is done in between is then never missed by going straight.
  const ways = loads.map(from => loads.map(to => Math.min(...from.sites.flatMap(a => to.sites.map(b => travel(a, b))))))
  for (const [over, { length }] of ways.entries())
    for (let a = 0; a < length; a++)
      for (let b = 0; b < length; b++) ways[a]![b] = Math.min(ways[a]![b]!, ways[a]![over]! + ways[over]![b]!)
  const crews = loads[0]!.times.map((_, crew) => {
    const times = loads.map(load => load.times[crew]!)
    return { times, legs: legsOf(times, (from, to) => ways[from]![to]!, begin, most) }
  })
  let [prices, found] = [loads.map(() => 1), least]
  for (let round = 0, vain = 0; vain < IN_VAIN; round++, vain++) {
    const worth = loads.reduce((sum, { minutes }, n) => sum + prices[n]! * minutes, 0)
    const isTooEarly = (moment: Minute) =>
      crews.reduce((sum, { times, legs }) => sum + bestPath(times, legs, prices, moment).worth, 0)
      < worth * (1 - ROUNDING)
    if (isTooEarly(found)) {
      if (isTooEarly(most)) return most
      let low = found
      found = most
      while (found - low > 1) {
        const middle = Math.floor((low + found) / 2)
        if (isTooEarly(middle)) low = middle
        else found = middle
      }
      vain = 0
    }
    const done = crews.map(({ times, legs }) => bestPath(times, legs, prices, found).minutes)
    const step = 0.15 / Math.sqrt(round + 1)
    prices = prices.map((price, n) => {
      const minutes = done.reduce((sum, each) => sum + each[n]!, 0)
      return price * Math.exp((step * (loads[n]!.minutes - minutes)) / Math.max(loads[n]!.minutes, minutes, 1))
    })
  }
  return found
}
