import { overlaps, type Point, type Rect } from '../../geometry'
import { featureParts, type Wall } from '../../job'
import type { RouteMinutes } from '../../rules'
import type { Member } from '../../survey'
import { bayNear, type Bay } from '../bays'
import { blockingIn, type Across } from '../blocking'
import { guardPlates } from './bore'
import { Edges, type Graph } from './graph'
import { keptFrom, nameOfFeature } from '../boxes/obstacles'
import { THROUGH_WALL } from '../sources'

/** How a leg of a route is made. */
export type Method
  = | 'drops'
    | 'weighted line'
    | 'rod'
    | 'opening at blocking'
    | 'bored plate'
    | 'across a stud'
    | 'void'
    | 'raceway'
    | 'on the face'
    | 'through the wall'

/** A place that a route can pass. */
export interface Stop { x: number, y: number }

/** A way from one place to another: how, how long it takes, and what has to be opened, bored and closed for it. */
export interface Leg {
  from: Stop
  to: Stop
  method: Method
  minutes: number
  openings: Rect[]
  seals: number
  patches: number
  /** Where timber is bored, and how wide, mm. */
  bores: { x: number, y: number, diameter: number, through: 'plate' | 'stud' | 'blocking' }[]
  /** Steel plates that keep screws from the cable. */
  guards: number
  /** What is passed in the bay: pipes, ducts, cables. */
  past: string[]
  /** Blocking that may be met, whose likelihood is in the minutes. */
  doubts: Across[]
  /** What of a pull line is behind the blocking that is opened, and is recovered there. */
  lost?: Across['lost']
}

/** The opening cut at blocking or a stud, its piece kept to close it, mm. */
const OPENING = { width: 150, height: 100 }
/** Of two ways that take as long the one with fewer openings is taken. */
const AN_OPENING = 1e-6
/** A second hole is bored beside the first to recover what was left behind blocking, this far from it, mm. */
const BESIDE_FIRST = 45
/** What stands in a bay and can be passed. */
const PASSED = new Set(['pipe', 'live-cable', 'cable-run', 'duct'])
/** Beside a pipe a line wants so much, mm. */
const BESIDE_PIPE = 60

/** Whether an opening lies on the wall whole. */
const isOn = ({ width, height }: Wall, opening: Rect): boolean =>
  opening.x >= 0 && opening.y >= 0 && opening.x + opening.width <= width && opening.y + opening.height <= height

/** The opening by which a stop is passed, round it. */
export const openingAt = ({ x, y }: Stop): Rect => ({ x: x - OPENING.width / 2, y: y - OPENING.height / 2, ...OPENING })

/**
 * The stretch of a bay between two heights: how long a line takes down it and up it, a grain more for each opening, and
 * what it meets.
 */
interface Step { down: number, up: number, opened: number, met: Across[], past: string[] }

/** The wall seen through: its bays, the heights at which a route may begin, end or cross, and what each step takes. */
export interface Ways {
  wall: Wall
  /** What each part of a route takes. */
  spent: RouteMinutes
  bays: Bay[]
  levels: number[]
  /** By bay, then by the level at their foot. */
  steps: Step[][]
  /** Between a bay and the next: the pieces to be bored, and for each level whether nothing stands before them. */
  crossings: { pieces: Member[], plies: number, free: boolean[] }[]
  /** By bay: the levels at which something begins, ends or can cross, each with what it takes to the next of them. */
  stops: BayStops[]
  /** Every step from place to place. */
  graph: Graph
}

/** Of the levels of a bay those that matter, in order; by level its place among them, -1 where it is none. */
interface BayStops { levels: number[], rank: Int32Array, up: Float64Array, down: Float64Array }

function stepOf(
  { wall, spent }: Pick<Ways, 'wall' | 'spent'>, bay: Bay, across: Across[], [y1, y2]: [number, number],
): Step {
  const metres = (y2 - y1) / 1000
  const here: Rect = { x: bay.from, y: y1, width: bay.to - bay.from, height: y2 - y1 }
  const features = (wall.features ?? []).filter(feature => featureParts(feature).some(part => overlaps(part, here)))
  if (features.some(({ kind }) => THROUGH_WALL.has(kind)))
    return { down: Infinity, up: Infinity, opened: 0, met: [], past: [] }
  const met = across.filter(({ y }) => y > y1 && y <= y2)
  const passed = features.filter(({ kind }) => PASSED.has(kind))
  const more
    = met.reduce((sum, { likely, lost }) => sum + likely * spent.minutesOpening + (lost ? spent.minutesRecover : 0), 0)
      + passed.reduce(
        (sum, { x, width }) => {
          const isRoomy = Math.max(x - bay.from, bay.to - x - width) >= BESIDE_PIPE
          return sum + (isRoomy ? spent.minutesPipe : spent.minutesPipeAcross)
        },
        0,
      )
  return {
    down: metres * (wall.insulation ? spent.minutesLine : spent.minutesDrop) + more,
    up: metres * (wall.insulation ? spent.minutesRodInsulated : spent.minutesRod) + more,
    opened: AN_OPENING * met.filter(({ likely }) => likely === 1).length,
    met, past: passed.map(nameOfFeature),
  }
}

/**
 * The wall seen through.
 *
 * @param ends where something begins or ends
 * @param plates before which no stud is bored, as their screws are in it
 */
export function waysOf(
  { wall, bays, members, spent }: { wall: Wall, bays: Bay[], members: Member[], spent: RouteMinutes },
  ends: Point[],
  plates: Rect[],
): Ways {
  const kept = [...plates, ...keptFrom(wall)]
  // The lowest and the highest place at which a stud can be crossed with its opening on the wall whole, and those right
  // below and above what it keeps clear of and what crosses the bays.
  const half = OPENING.height / 2
  const across = (wall.blocking ?? []).map(({ y }) => ({ y, height: 0 }))
  const beside = [...kept, ...across].flatMap(({ y, height }) => [y - half, y + height + half])
  const always = [0, half, wall.height - half, wall.height, ...beside]
  const heights = new Set([...always, ...ends.map(({ y }) => y)].filter(y => y >= 0 && y <= wall.height))
  const levels = [...heights].sort((a, b) => a - b)
  const middles = bays.map(({ from, to }) => (from + to) / 2)
  const steps = bays.map((bay) => {
    const across = blockingIn(wall, bay)
    return levels.slice(1).map((to, n) => stepOf({ wall, spent }, bay, across, [levels[n]!, to]))
  })
  const crossings = middles.slice(1).map((to, n) => {
    const pieces = members.filter(({ centre }) => centre > middles[n]! && centre < to)
    return {
      pieces, plies: pieces.reduce((sum, { plies }) => sum + plies, 0),
      free: levels.map((y) => {
        const openings = pieces.map(({ centre }) => openingAt({ x: centre, y }))
        return openings.every(opening => isOn(wall, opening) && !kept.some(each => overlaps(each, opening)))
      }),
    }
  })
  const isEnd = bays.map(() => new Set<number>())
  for (const { x, y } of bays.length > 0 ? ends : []) isEnd[bayNear({ bays }, x)]!.add(y)
  const stops = bays.map((_, bay) => stopsOf(steps[bay]!, levels.map((y, n) =>
    n === 0 || n === levels.length - 1 || isEnd[bay]!.has(y)
    || crossings[bay - 1]?.free[n] === true || crossings[bay]?.free[n] === true)))
  return withGraph({ wall, spent, bays, levels, steps, crossings, stops })
}

/** The levels of a bay that matter, with what it takes from each to the next. */
function stopsOf(steps: Step[], matters: boolean[]): BayStops {
  const levels = matters.flatMap((does, n) => does ? [n] : [])
  const rank = new Int32Array(matters.length).fill(-1)
  for (const [n, level] of levels.entries()) rank[level] = n
  const between = (of: 'up' | 'down') => Float64Array.from(levels.slice(1), (to, n) =>
    steps.slice(levels[n], to).reduce((sum, step) => sum + step[of] + step.opened, 0))
  return { levels, rank, up: between('up'), down: between('down') }
}

/** What all steps take where those up and down a bay take something else. */
function minutesWith({ graph, levels }: Ways, bay: number, { levels: matter, up, down }: BayStops): Float64Array {
  const minutes = graph.minutes.slice()
  const [from, to] = [bay * levels.length, (bay + 1) * levels.length]
  for (const [n, level] of matter.entries()) {
    for (let step = graph.first[from + level]!; step < graph.first[from + level + 1]!; step++) {
      const next = graph.to[step]!
      if (next >= from && next < to) minutes[step] = next > from + level ? up[n]! : down[n - 1]!
    }
  }
  return minutes
}

/** A wall seen through in which a bay is known to be blocked at a height, or to be free. */
export function supposing(ways: Ways, bay: number, across: Across[]): Ways {
  const { bays, levels, steps, stops } = ways
  const here = levels.slice(1).map((to, k) => stepOf(ways, bays[bay]!, across, [levels[k]!, to]))
  const { rank } = stops[bay]!
  const known = stopsOf(here, levels.map((_, n) => rank[n]! >= 0))
  return {
    ...ways,
    steps: steps.with(bay, here),
    stops: stops.with(bay, known),
    graph: { ...ways.graph, minutes: minutesWith(ways, bay, known) },
  }
}

export type VoidSide = 'above' | 'below'
export const SIDES: VoidSide[] = ['above', 'below']
/** Whether cables can come in from above or below. */
export const isOpen = ({ void: beyond }: Pick<Wall, 'void'>, side: VoidSide): boolean =>
  beyond?.[side] === 'open' || beyond?.[side] === 'plenum'

/**
 * Places are numbered: those in the bays by their level, then one for each bay in the void above, and one in that
 * below.
 */
export const placeIn = ({ levels }: Pick<Ways, 'levels'>, bay: number, y: number): number =>
  bay * levels.length + levels.indexOf(y)
export const placeBeyond = ({ levels, bays }: Pick<Ways, 'levels' | 'bays'>, side: VoidSide, bay: number): number =>
  bays.length * levels.length + (side === 'above' ? 0 : bays.length) + bay

const middle = ({ from, to }: Bay) => (from + to) / 2

/** From a void into the bay there, or on to the next one. */
function stepsInVoid(
  { bays, levels, spent }: Omit<Ways, 'graph'>, side: VoidSide, bay: number, add: Edges['add'],
): void {
  const here = placeBeyond({ bays, levels }, side, bay)
  add(here, bay * levels.length + (side === 'above' ? levels.length - 1 : 0), { minutes: spent.minutesPlate })
  for (const next of [bay - 1, bay + 1].filter(n => n >= 0 && n < bays.length)) {
    const metres = Math.abs(middle(bays[next]!) - middle(bays[bay]!)) / 1000
    add(here, placeBeyond({ bays, levels }, side, next), { minutes: metres * spent.minutesVoid, metres })
  }
}

/** From the levels of a bay up and down, out of its ends into the voids, and across the members beside it. */
function stepsInBay(ways: Omit<Ways, 'graph'>, bay: number, add: Edges['add']): void {
  const { wall, spent, bays, levels, stops, crossings } = ways
  const [L, { levels: matter, up, down }] = [levels.length, stops[bay]!]
  for (const [n, level] of matter.entries()) {
    const here = bay * L + level
    const [below, above] = [matter[n - 1], matter[n + 1]]
    const metresTo = (to: number) => Math.abs(levels[to]! - levels[level]!) / 1000
    if (below !== undefined) add(here, bay * L + below, { minutes: down[n - 1]!, metres: metresTo(below) })
    if (above !== undefined) add(here, bay * L + above, { minutes: up[n]!, metres: metresTo(above) })
    for (const [side, end] of [['above', L - 1], ['below', 0]] as const)
      if (level === end && isOpen(wall, side)) add(here, placeBeyond(ways, side, bay), { minutes: spent.minutesPlate })
    for (const next of [bay - 1, bay + 1]) {
      const crossing = crossings[Math.min(bay, next)]
      if (next < 0 || next >= bays.length || !crossing?.free[level]) continue
      add(here, next * L + level, {
        minutes: crossing.plies * spent.minutesStud + AN_OPENING * crossing.pieces.length,
        metres: Math.abs(middle(bays[next]!) - middle(bays[bay]!)) / 1000,
        bored: true,
      })
    }
  }
}

/** A wall seen through with every step from place to place. */
function withGraph(ways: Omit<Ways, 'graph'>): Ways {
  const { bays, levels } = ways
  const edges = new Edges(bays.length * levels.length + 2 * bays.length)
  for (const bay of bays.keys()) stepsInBay(ways, bay, edges.add)
  for (const side of SIDES) for (const bay of bays.keys()) stepsInVoid(ways, side, bay, edges.add)
  return { ...ways, graph: edges.graph() }
}

/** Where an opening is cut for a line at x: inside the bay, so that no member is cut over. */
function within({ from, to }: Bay, x: number): number {
  return to - from < OPENING.width
    ? (from + to) / 2
    : Math.min(Math.max(x, from + OPENING.width / 2), to - OPENING.width / 2)
}

/** Where the second hole through blocking is bored: beside the first, on the side with more room. */
const besideFirst = ({ from, to }: Bay, x: number): number => x - from > to - x ? x - BESIDE_FIRST : x + BESIDE_FIRST

/** Places of a way with the levels between them, where it goes on in a bay. */
function withBetween({ bays, levels }: Ways, places: number[]): number[] {
  const bayOf = (place: number) => place < bays.length * levels.length ? Math.floor(place / levels.length) : -1
  return places.flatMap((place, n) => {
    const last = places[n - 1]
    if (last === undefined || bayOf(place) < 0 || bayOf(place) !== bayOf(last)) return [place]
    const way = Math.sign(place - last)
    return Array.from({ length: Math.abs(place - last) }, (_, k) => last + way * (k + 1))
  })
}

/**
 * The legs of a way through some places.
 *
 * @param xIn where the line lies in a bay, by its index
 */
export function legsThrough(ways: Ways, stops: number[], hole: number, xIn: (bay: number) => number): Leg[] {
  const places = withBetween(ways, stops)
  const { wall, spent, bays, levels, steps, crossings } = ways
  const [B, L] = [bays.length, levels.length]
  const at = (place: number) => {
    if (place < B * L)
      return { bay: Math.floor(place / L), level: place % L, x: xIn(Math.floor(place / L)), y: levels[place % L]! }
    const above = place < B * L + B
    const bay = place - B * L - (above ? 0 : B)
    return { bay, level: -1, x: xIn(bay), y: above ? wall.height : 0 }
  }
  const plain = { openings: [], seals: 0, patches: 0, bores: [], guards: 0, past: [], doubts: [] }
  return places.slice(1).flatMap((place, n): Leg | Leg[] => {
    const [a, b] = [at(places[n]!), at(place)]
    const leg = { ...plain, from: { x: a.x, y: a.y }, to: { x: b.x, y: b.y } }
    if (a.level < 0 && b.level < 0)
      return { ...leg, method: 'void', minutes: (Math.abs(b.x - a.x) / 1000) * spent.minutesVoid }
    if (a.level < 0 || b.level < 0)
      return {
        ...leg,
        method: 'bored plate',
        minutes: spent.minutesPlate,
        seals: 1,
        bores: [{ x: b.x, y: b.y, diameter: hole, through: 'plate' }],
      }
    if (a.bay !== b.bay) {
      const { pieces, plies } = crossings[Math.min(a.bay, b.bay)]!
      return {
        ...leg,
        method: 'across a stud',
        minutes: plies * spent.minutesStud,
        openings: pieces.map(({ centre }) => openingAt({ x: centre, y: a.y })),
        seals: plies,
        patches: pieces.length,
        bores: pieces.map(({ centre }) => ({ x: centre, y: a.y, diameter: hole, through: 'stud' as const })),
        guards: pieces.length * guardPlates(wall.structure.memberDepth ?? 0, hole),
      }
    }
    return legsUpOrDown(ways, bays[a.bay]!, steps[a.bay]![Math.min(a.level, b.level)]!, { ...leg, hole })
  })
}

/** The legs up or down a bay from one level to the next: one ends at what stops the line, and goes on from there. */
function legsUpOrDown(
  { wall, spent }: Ways, bay: Bay, step: Step, { hole, ...leg }: Omit<Leg, 'method' | 'minutes'> & { hole: number },
): Leg[] {
  const { from: a, to: b } = leg
  const down = b.y < a.y
  const sure = step.met.filter(({ likely }) => likely === 1).sort((p, q) => down ? q.y - p.y : p.y - q.y)
  const method = down ? (wall.insulation ? 'weighted line' as const : 'drops' as const) : 'rod' as const
  const doubts = step.met.filter(({ likely }) => likely < 1)
  const recovering = ({ lost }: Pick<Across, 'lost'>) => lost ? spent.minutesRecover : 0
  const rest = (down ? step.down : step.up)
    - sure.reduce((sum, each) => sum + spent.minutesOpening + recovering(each), 0)
  // A leg ends at what stops it: the line goes that far, and on from the opening.
  const ends = [
    ...sure.map(({ y, lost }) => ({ y, lost, stopped: true })),
    ...(sure.at(-1)?.y === b.y ? [] : [{ y: b.y, lost: undefined, stopped: false }]),
  ]
  return ends.map(({ y, lost, stopped }, k) => {
    const from = ends[k - 1]?.y ?? a.y
    const share = b.y === a.y ? 0 : rest * (y - from) / (b.y - a.y)
    return {
      ...leg,
      from: { x: a.x, y: from },
      to: { x: a.x, y },
      past: step.past,
      doubts: doubts.filter(each => each.y > Math.min(from, y) && each.y <= Math.max(from, y)),
      minutes: share + (stopped ? spent.minutesOpening + recovering({ lost }) : 0),
      ...(lost && { lost }),
      ...(stopped
        ? {
            method: 'opening at blocking' as const,
            openings: [openingAt({ x: within(bay, a.x), y })],
            seals: lost ? 2 : 1,
            patches: 1,
            bores: [a.x, ...lost ? [besideFirst(bay, a.x)] : []]
              .map(x => ({ x, y, diameter: hole, through: 'blocking' as const })),
          }
        : { method }),
    }
  })
}
