import type { Rect } from '../geometry'
import type { Wall } from '../job'
import type { Member } from '../survey'
import type { Bay } from './bays'

/** How a leg of a route is made. */
export type Method = 'drops' | 'weighted line' | 'opening at blocking' | 'bored plate' | 'across a stud' | 'void' | 'raceway'

/** A place that a route can pass. */
export interface Stop { x: number, y: number }

/** A way from one place to another: how, how long it takes, and what has to be opened and closed for it. */
export interface Leg { from: Stop, to: Stop, method: Method, minutes: number, openings: Rect[], seals: number, patches: number }

/** Minutes that things take, the firm's usual ones. */
export const MINUTES = { dropPerMetre: 1, linePerMetre: 4, opening: 42, plate: 12, stud: 40, voidPerMetre: 1, enter: 10, racewayPerMetre: 6, racewayEnd: 8 }
/** How likely a bay has blocking at half its height that nobody looked for. */
const UNSEEN = 0.3
/** The opening cut at blocking or a stud, its piece kept to close it, mm. */
const OPENING = { width: 150, height: 100 }
/** A bored hole is at most this share of a stud's depth (IRC R602.6), and this far from its edge, mm. */
const MOST_BORED = { bearing: 0.4, notBearing: 0.6 }
const EDGE = 16

const openingAt = ({ x, y }: Stop): Rect => ({ x: x - OPENING.width / 2, y: y - OPENING.height / 2, ...OPENING })

/** How long a metre of an upright leg takes, and how it is done: insulation is passed in front of or behind. */
const upright = ({ insulation }: Wall) => insulation ? { rate: MINUTES.linePerMetre, method: 'weighted line' as const } : { rate: MINUTES.dropPerMetre, method: 'drops' as const }

/** Whether a hole of a diameter may be bored through a stud. One that may bear is taken to bear. */
export function mayBore({ structure, bearing }: Wall, hole: number): boolean {
  const { memberDepth } = structure
  if (memberDepth === undefined) return false
  return hole <= (bearing === false ? MOST_BORED.notBearing : MOST_BORED.bearing) * memberDepth + 1e-9 && hole + 2 * EDGE <= memberDepth + 1e-9
}

/** What stands across a bay at a height, and how sure that is: 1 where it was found. */
function blockingIn(wall: Wall): { y: number, likely: number }[] {
  if (wall.blocking) return wall.blocking.map(({ y, found }) => ({ y, likely: found ? 1 : 0.5 }))
  return [{ y: wall.height / 2, likely: UNSEEN }]
}

/** The upright legs of one bay between some heights, with what stands across it. */
function legsUp(wall: Wall, x: number, heights: number[]): Leg[] {
  const { rate, method } = upright(wall)
  const across = blockingIn(wall)
  const inOrder = [...new Set(heights)].sort((a, b) => a - b)
  return inOrder.slice(1).map((to, n): Leg => {
    const from = inOrder[n]!
    const met = across.filter(({ y }) => y > from && y < to)
    const sure = met.filter(({ likely }) => likely === 1)
    return {
      from: { x, y: from }, to: { x, y: to }, method: sure.length > 0 ? 'opening at blocking' : method,
      minutes: (to - from) / 1000 * rate + met.reduce((sum, { likely }) => sum + likely * MINUTES.opening, 0),
      openings: sure.map(({ y }) => openingAt({ x, y })), seals: sure.length, patches: sure.length,
    }
  })
}

/** A place of its own in the graph: which bay, or a void, and where. */
export interface Node extends Stop { key: string }
/** What a node leads to. */
export interface Edge { to: string, leg: Leg }
export interface Graph { edges: Map<string, Edge[]> }

export const bayKey = (bay: number, y: number) => `bay ${bay} ${Math.round(y * 1e3)}`

/**
 * The wall seen through as a graph: places in its bays, joined upright, across studs, and through the plates into the
 * voids above and below, where these are open.
 *
 * @param heights in each bay, by its index, the heights at which something begins, ends or may cross
 * @param hole diameter of what is bored for the bundle, mm
 */
export function graphOf(wall: Wall, bays: Bay[], members: Member[], heights: Map<number, { x: number, y: number }[]>, hole: number): Graph {
  const graph: Graph = { edges: new Map() }
  const edgesOf = (key: string): Edge[] => {
    const known = graph.edges.get(key)
    if (known) return known
    const begun: Edge[] = []
    graph.edges.set(key, begun)
    return begun
  }
  const join = (a: Node, b: Node, leg: Leg) => {
    edgesOf(a.key).push({ to: b.key, leg })
    edgesOf(b.key).push({ to: a.key, leg: { ...leg, from: leg.to, to: leg.from } })
  }
  const levels = [...new Set([...heights.values()].flatMap(places => places.map(({ y }) => y)))]
  const xOf = (bay: number) => heights.get(bay)?.[0]?.x ?? (bays[bay]!.from + bays[bay]!.to) / 2
  const node = (bay: number, y: number): Node => ({ key: bayKey(bay, y), x: xOf(bay), y })
  const voidNode = (side: 'above' | 'below', bay: number): Node => ({ key: `${side} ${bay}`, x: xOf(bay), y: side === 'above' ? wall.height : 0 })
  const sides = (['above', 'below'] as const).filter(side => wall.void?.[side] === 'open' || wall.void?.[side] === 'plenum')
  bays.forEach((bay, n) => {
    for (const leg of legsUp(wall, xOf(n), [0, wall.height, ...levels])) join(node(n, leg.from.y), node(n, leg.to.y), leg)
    const plain = { openings: [], seals: 0, patches: 0 }
    for (const side of sides) {
      const [inside, outside] = [node(n, side === 'above' ? wall.height : 0), voidNode(side, n)]
      join(inside, outside, { from: inside, to: outside, method: 'bored plate', minutes: MINUTES.plate, ...plain, seals: 1 })
      if (n > 0) {
        const before = voidNode(side, n - 1)
        join(before, outside, { from: before, to: outside, method: 'void', minutes: (outside.x - before.x) / 1000 * MINUTES.voidPerMetre, ...plain })
      }
    }
    if (n === 0 || !mayBore(wall, hole)) return
    // Between two bays stand one or more pieces; each is bored, and opened to get at it.
    const pieces = members.filter(({ centre }) => centre > (bays[n - 1]!.from + bays[n - 1]!.to) / 2 && centre < (bay.from + bay.to) / 2)
    const count = pieces.reduce((sum, { plies }) => sum + plies, 0)
    for (const y of levels) {
      const [left, right] = [node(n - 1, y), node(n, y)]
      join(left, right, { from: left, to: right, method: 'across a stud', minutes: count * MINUTES.stud, openings: pieces.map(({ centre }) => openingAt({ x: centre, y })), seals: count, patches: pieces.length })
    }
  })
  return graph
}

/** How a node is reached in least time, and by which leg from which node. */
interface Reached { cost: number, before?: string, leg?: Leg }

/** Nodes that are to be looked at, the nearest first: a binary heap. */
class Nearest {
  private readonly heap: { key: string, cost: number }[] = []

  add(key: string, cost: number): void {
    const { heap } = this
    let at = heap.push({ key, cost }) - 1
    while (at > 0 && heap[(at - 1) >> 1]!.cost > cost) {
      heap[at] = heap[(at - 1) >> 1]!
      at = (at - 1) >> 1
    }
    heap[at] = { key, cost }
  }

  take(): string | undefined {
    const { heap } = this
    const [first] = heap
    const last = heap.pop()
    if (!first || !last || heap.length === 0) return first?.key
    let at = 0
    for (;;) {
      const child = 2 * at + 1
      const less = child + 1 < heap.length && heap[child + 1]!.cost < heap[child]!.cost ? child + 1 : child
      if (less >= heap.length || heap[less]!.cost >= last.cost) break
      heap[at] = heap[less]!
      at = less
    }
    heap[at] = last
    return first.key
  }
}

/** Every node that can be reached from one, each in least time (Dijkstra), and among equals with fewest openings. */
export function reachedFrom({ edges }: Graph, from: string): Map<string, Reached> {
  const best = new Map<string, Reached>([[from, { cost: 0 }]])
  const done = new Set<string>()
  const open = new Nearest()
  open.add(from, 0)
  for (let here = open.take(); here !== undefined; here = open.take()) {
    if (done.has(here)) continue
    done.add(here)
    const { cost } = best.get(here)!
    for (const { to, leg } of edges.get(here) ?? []) {
      const next = cost + leg.minutes + 1e-6 * leg.openings.length
      if (next >= (best.get(to)?.cost ?? Infinity)) continue
      best.set(to, { cost: next, before: here, leg })
      open.add(to, next)
    }
  }
  return best
}

/** The legs to whichever of some nodes is reached soonest; undefined where none is. */
export function legsTo(reached: Map<string, Reached>, goals: Iterable<string>): Leg[] | undefined {
  let nearest: string | undefined
  for (const goal of goals) if (reached.has(goal) && (nearest === undefined || reached.get(goal)!.cost < reached.get(nearest)!.cost)) nearest = goal
  if (nearest === undefined) return undefined
  const legs: Leg[] = []
  for (let at = reached.get(nearest)!; at.leg; at = reached.get(at.before!)!) legs.unshift(at.leg)
  return legs
}
