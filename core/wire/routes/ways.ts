import { overlaps, type Rect } from '../../geometry'
import { featureParts, type Wall } from '../../job'
import type { RouteMinutes } from '../../rules'
import type { Member } from '../../survey'
import type { Bay } from '../bays'
import { blockingIn, type Across } from '../blocking'
import { guardPlates, mayBore } from './bore'
import { Nearest } from './nearest'
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
}

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
 * @param heights at which something begins or ends
 * @param plates before which no stud is bored, as their screws are in it
 */
export function waysOf(
  { wall, bays, members, spent }: { wall: Wall, bays: Bay[], members: Member[], spent: RouteMinutes },
  heights: number[],
  plates: Rect[],
): Ways {
  const kept = [...plates, ...keptFrom(wall)]
  // The lowest and the highest place at which a stud can be crossed with its opening on the wall whole, and those right
  // below and above what it keeps clear of and what crosses the bays.
  const half = OPENING.height / 2
  const across = (wall.blocking ?? []).map(({ y }) => ({ y, height: 0 }))
  const beside = [...kept, ...across].flatMap(({ y, height }) => [y - half, y + height + half])
  const ends = [0, half, wall.height - half, wall.height, ...beside]
  const levels = [...new Set([...ends, ...heights].filter(y => y >= 0 && y <= wall.height))].sort((a, b) => a - b)
  const middles = bays.map(({ from, to }) => (from + to) / 2)
  return {
    wall, spent, bays, levels,
    steps: bays.map((bay) => {
      const across = blockingIn(wall, bay)
      return levels.slice(1).map((to, n) => stepOf({ wall, spent }, bay, across, [levels[n]!, to]))
    }),
    crossings: middles.slice(1).map((to, n) => {
      const pieces = members.filter(({ centre }) => centre > middles[n]! && centre < to)
      return {
        pieces, plies: pieces.reduce((sum, { plies }) => sum + plies, 0),
        free: levels.map((y) => {
          const openings = pieces.map(({ centre }) => openingAt({ x: centre, y }))
          return openings.every(opening => isOn(wall, opening) && !kept.some(each => overlaps(each, opening)))
        }),
      }
    }),
  }
}

/** A wall seen through in which a bay is known to be blocked at a height, or to be free. */
export function supposing(ways: Ways, bay: number, across: Across[]): Ways {
  const { bays, levels, steps } = ways
  return {
    ...ways,
    steps: steps.map((known, n) =>
      n === bay ? levels.slice(1).map((to, k) => stepOf(ways, bays[bay]!, across, [levels[k]!, to])) : known,
    ),
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
export const placeIn = ({ levels }: Ways, bay: number, y: number): number => bay * levels.length + levels.indexOf(y)
export const placeBeyond = ({ levels, bays }: Ways, side: VoidSide, bay: number): number =>
  bays.length * levels.length + (side === 'above' ? 0 : bays.length) + bay

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

/**
 * Every place that can be reached from some, each in least time (Dijkstra), and among equals with fewest openings.
 *
 * @param goals where to stop once all are settled; absent: every place
 */
export function reachedFrom(
  ways: Ways,
  starts: number[],
  { hole, avoid, only, perMetre = 0 }: Keeping,
  goals?: readonly number[],
): Reached {
  const { wall, bays, levels } = ways
  const [B, L] = [bays.length, levels.length]
  const minutes = new Float64Array(B * L + 2 * B).fill(Infinity)
  const before = new Int32Array(B * L + 2 * B).fill(-1)
  const settled = new Uint8Array(minutes.length)
  const wanted = goals && new Set(goals)
  let missing = wanted ? wanted.size : Infinity
  const open = new Nearest()
  const bored = mayBore(wall, hole)
  for (const start of starts) {
    minutes[start] = 0
    open.add(start, 0)
  }
  // One for all places, as this is the innermost of all loops.
  let from = -1
  const go: Go = (to, more) => {
    const next = minutes[from]! + more
    if (next >= minutes[to]!) return
    if (to < B * L && avoid.size > 0 && avoid.has(Math.floor(to / L))) return
    if (only && to >= B * L && (to < B * L + B) !== (only === 'above')) return
    minutes[to] = next
    before[to] = from
    open.add(to, next)
  }
  for (let here = open.take(); here !== undefined; here = open.take()) {
    if (settled[here]) continue
    settled[here] = 1
    if (wanted?.has(here) && --missing === 0) return { minutes, before, settled }
    from = here
    if (here >= B * L) fromVoid(ways, here, perMetre, go)
    else fromBay(ways, here, bored, perMetre, go)
  }
  return { minutes, before, settled: settled.fill(1) }
}
const middle = ({ from, to }: Bay) => (from + to) / 2

/** Where a line can go, and what that takes, min. */
type Go = (to: number, more: number) => void

/** From a void into the bay there, or on to the next one. */
function fromVoid(ways: Ways, here: number, perMetre: number, go: Go): void {
  const { bays, levels, spent } = ways
  const [B, L] = [bays.length, levels.length]
  const isAbove = here < B * L + B
  const bay = here - B * L - (isAbove ? 0 : B)
  go(bay * L + (isAbove ? L - 1 : 0), spent.minutesPlate)
  for (let next = Math.max(bay - 1, 0); next <= Math.min(bay + 1, B - 1); next++) {
    if (next === bay) continue
    const metres = Math.abs(middle(bays[next]!) - middle(bays[bay]!)) / 1000
    go(placeBeyond(ways, isAbove ? 'above' : 'below', next), metres * (spent.minutesVoid + perMetre))
  }
}

/** From a level of a bay up or down, out of its ends into the voids, and across the members beside it. */
function fromBay(ways: Ways, here: number, bored: boolean, perMetre: number, go: Go): void {
  const { wall, spent, bays, levels, steps, crossings } = ways
  const L = levels.length
  const [bay, level] = [Math.floor(here / L), here % L]
  const below = steps[bay]![level - 1]
  if (below) go(here - 1, below.down + below.opened + perMetre * (levels[level]! - levels[level - 1]!) / 1000)
  const above = steps[bay]![level]
  if (above) go(here + 1, above.up + above.opened + perMetre * (levels[level + 1]! - levels[level]!) / 1000)
  if (level === L - 1 && isOpen(wall, 'above')) go(placeBeyond(ways, 'above', bay), spent.minutesPlate)
  if (level === 0 && isOpen(wall, 'below')) go(placeBeyond(ways, 'below', bay), spent.minutesPlate)
  if (!bored) return
  for (let next = Math.max(bay - 1, 0); next <= Math.min(bay + 1, bays.length - 1); next++) {
    const crossing = next === bay ? undefined : crossings[Math.min(bay, next)]
    if (!crossing?.free[level]) continue
    const metres = Math.abs(middle(bays[next]!) - middle(bays[bay]!)) / 1000
    go(next * L + level,
      crossing.plies * spent.minutesStud + AN_OPENING * crossing.pieces.length + perMetre * metres)
  }
}

/** The places on the way to one, from the beginning on. */
export function placesTo({ before }: Reached, goal: number): number[] {
  const places = [goal]
  while (before[places[0]!]! >= 0) places.unshift(before[places[0]!]!)
  return places
}

/** Where an opening is cut for a line at x: inside the bay, so that no member is cut over. */
function within({ from, to }: Bay, x: number): number {
  return to - from < OPENING.width
    ? (from + to) / 2
    : Math.min(Math.max(x, from + OPENING.width / 2), to - OPENING.width / 2)
}

/** Where the second hole through blocking is bored: beside the first, on the side with more room. */
const besideFirst = ({ from, to }: Bay, x: number): number => x - from > to - x ? x - BESIDE_FIRST : x + BESIDE_FIRST

/**
 * The legs of a way through some places.
 *
 * @param xIn where the line lies in a bay, by its index
 */
export function legsThrough(ways: Ways, places: number[], hole: number, xIn: (bay: number) => number): Leg[] {
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
