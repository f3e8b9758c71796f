/** How much cable it takes to come to a box from the source, and from each other, mm; Infinity where no way does. */
export interface Distances {
  home: number[]
  /** From the first to the second, by index: a way back may be another way. */
  between: number[][]
}

/** The boxes of a circuit by what feeds each: the index of the box before it, or undefined for the source. */
export type Feeding = (number | undefined)[]

/** Up to so many boxes the shortest chain is found exactly. */
const EXACT = 11
/** One home run to a circuit: a second one only where no way leads on from box to box; and a box without any, last. */
const ANOTHER_HOME = 1e9
const NO_WAY = 1e12

/** What it takes to go on to a box: from the one before it, or, where no way leads there, from the source anew. */
function onTo({ home, between }: Distances, from: number | undefined, to: number): number {
  const anew = Math.min(home[to]!, NO_WAY)
  if (from === undefined) return anew
  const onward = between[from]![to]!
  return onward === Infinity ? anew + ANOTHER_HOME : onward
}

const isAnew = ({ between }: Distances, from: number, to: number) => between[from]![to]! === Infinity

/** The cable of a chain in an order. */
const lengthOf = (distances: Distances, order: number[]): number =>
  order.reduce((sum, box, n) => sum + onTo(distances, order[n - 1], box), 0)

/** The order of a few boxes whose chain is shortest: by the set of those reached and the last of them (Held, Karp). */
function orderExactly(distances: Distances): number[] {
  const n = distances.home.length
  const all = 1 << n
  const cost = new Float64Array(all * n).fill(Infinity)
  const before = new Int8Array(all * n).fill(-1)
  for (let box = 0; box < n; box++) cost[(1 << box) * n + box] = onTo(distances, undefined, box)
  for (let set = 1; set < all; set++) {
    for (let last = 0; last < n; last++) {
      const here = cost[set * n + last]!
      if (here === Infinity) continue
      for (let next = 0; next < n; next++) {
        if (set & (1 << next)) continue
        const at = (set | (1 << next)) * n + next
        const length = here + onTo(distances, last, next)
        if (length >= cost[at]! - 1e-9) continue
        cost[at] = length
        before[at] = last
      }
    }
  }
  let [set, last] = [all - 1, 0]
  for (let box = 1; box < n; box++) if (cost[set * n + box]! < cost[set * n + last]! - 1e-9) last = box
  const order: number[] = []
  while (last >= 0) {
    order.unshift(last)
    const next = before[set * n + last]!
    set &= ~(1 << last)
    last = next
  }
  return order
}

/** A chain that always goes on to the nearest box. */
function nearestFirst(distances: Distances, first: number): number[] {
  const order = [first]
  const left = new Set(distances.home.keys())
  left.delete(first)
  while (left.size > 0) {
    const last = order.at(-1)!
    const next = [...left].reduce((best, box) =>
      onTo(distances, last, box) < onTo(distances, last, best) - 1e-9 ? box : best)
    order.push(next)
    left.delete(next)
  }
  return order
}

/** The same boxes with a stretch of them turned round, or moved to another place. */
function* changesOf(order: number[]): Generator<number[]> {
  for (let from = 0; from < order.length; from++) {
    for (let to = from + 1; to <= order.length; to++) {
      const [head, part, tail] = [order.slice(0, from), order.slice(from, to), order.slice(to)]
      if (part.length > 1) yield [...head, ...[...part].reverse(), ...tail]
      if (part.length > 3) continue
      const rest = [...head, ...tail]
      for (let place = 0; place <= rest.length; place++)
        if (place !== from) yield [...rest.slice(0, place), ...part, ...rest.slice(place)]
    }
  }
}

/** Shortens a chain until no stretch turned round or moved makes it shorter. */
function shortened(distances: Distances, given: number[]): number[] {
  let best = given
  for (let length = lengthOf(distances, best); ;) {
    let shorter: number[] | undefined
    for (const order of changesOf(best)) {
      if (lengthOf(distances, order) >= length - 1e-6) continue
      shorter = order
      break
    }
    if (!shorter) return best
    best = shorter
    length = lengthOf(distances, best)
  }
}

/** The best of the chains that begin at the boxes nearest to the source, each shortened. */
function orderMany(distances: Distances): number[] {
  const firsts = [...distances.home.keys()].sort((a, b) => distances.home[a]! - distances.home[b]!).slice(0, 3)
  return firsts.map(first => shortened(distances, nearestFirst(distances, first)))
    .reduce((best, order) => lengthOf(distances, order) < lengthOf(distances, best) - 1e-6 ? order : best)
}

/**
 * Boxes of one circuit in a chain, box to box, with one home run: the order that takes least cable. Exactly for up to
 * 11 boxes; beyond, the nearest first, shortened by turning and moving stretches.
 *
 * @example
 * // three boxes at 10, 11 and 12 m along a void from the board: one home run of 10 m and two legs of 1 m
 * chained({ home: [10, 11, 12], between: [[0, 1, 2], [1, 0, 1], [2, 1, 0]] }) // [undefined, 0, 1]
 */
export function chained(distances: Distances): Feeding {
  const boxes = distances.home.length
  if (boxes === 0) return []
  const order = boxes <= EXACT ? orderExactly(distances) : orderMany(distances)
  const feeding: Feeding = distances.home.map(() => undefined)
  for (const [n, box] of order.slice(1).entries())
    if (!isAnew(distances, order[n]!, box)) feeding[box] = order[n]!
  return feeding
}

/**
 * Boxes of one circuit in a tree, with one home run to the box that takes least cable, and every other box fed from
 * whichever is nearest (Prim). Cables may branch in a box.
 */
export function branched(distances: Distances): Feeding {
  const { home } = distances
  const feeding: Feeding = home.map(() => undefined)
  const left = new Set(home.keys())
  const reached: number[] = []
  while (left.size > 0) {
    let best: { box: number, from: number | undefined, length: number } | undefined
    for (const box of left) {
      for (const from of reached.length > 0 ? reached : [undefined]) {
        const length = onTo(distances, from, box)
        if (!best || length < best.length - 1e-9) best = { box, from, length }
      }
    }
    const { box, from } = best!
    if (from !== undefined && !isAnew(distances, from, box)) feeding[box] = from
    reached.push(box)
    left.delete(box)
  }
  return feeding
}

/** Boxes in the order in which current reaches them: each after the one that feeds it, nearer branches first. */
export function inOrderOf(feeding: Feeding): number[] {
  const from = (feeder: number | undefined): number[] =>
    feeding.flatMap((before, box) => before === feeder ? [box, ...from(box)] : [])
  return from(undefined)
}
