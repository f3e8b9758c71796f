import { memoize } from '../memo'
import type { Carrier, Display, Fastener, Mount, Rules, ScreenArray, Wall } from '../job'
import type { Surroundings } from '../fastening'
import { plateHoles, type Hole, type Position, type Strip } from '../mount'
import { isFramed, type Member } from '../survey'
import type { Figure } from '../units'
import { supportLoads, type BoltLoad } from './stripLoads'
import { isOffCentre, plateLoads, stateOf, type LoadCase, type PlateLoad } from './cases'
import { groupFigures, groupLoads, shearOf, type FastenerLoad, type Held, type Unheld } from './group'
import { loadedEdges, type LoadedEdge } from './loadedEdge'
import { carriedFigures } from './rail'
import { strengthOf, type Bearer, type Strength } from './strength'
import { screenLabel } from '../job/screenLabel'

/** One load case at the fastener of a screen that bears it worst. */
export interface Judged {
  case: LoadCase
  hole: string
  /** The hole as it is shown to a person. */
  told: string
  load: FastenerLoad
  shear: number
  utilisation?: number
  /** The workings, made when they are asked for. */
  figures: () => { tension: Figure, shear: Figure, allowable?: { tension: Figure, shear: Figure, together: string } }
}

/** What the load cases do to one screen whose plate is held; its bolts where it stands on a rail or a board. */
export interface Judgement {
  position: Position
  cases: Judged[]
  bolts: BoltLoad[]
  loadedEdges: LoadedEdge[]
}

/** Everything that fasteners of an array are judged by. */
export interface Judging {
  array: ScreenArray
  wall: Wall
  fastener: Fastener | undefined
  rules: Rules
  carrier: Carrier | undefined
  strips: Strip[]
  /** Edges and neighbours of an anchor. */
  around: (hole: { x: number, y: number }) => Surroundings
  bearer: (mount: Mount) => Bearer | undefined
  members: Member[]
}

interface Pair {
  display: Display
  mount: Mount
  positions: Position[]
}

/** What a plate's fastener bears against, where it is fixed to the wall itself. */
export const bearerOf = ({ plate, rigid }: Mount, { packers }: Pick<ScreenArray, 'packers'> = {}): Bearer => ({
  kind: 'plate',
  thickness: plate.thickness,
  ...(plate.bearingStrength !== undefined && { strength: plate.bearingStrength }),
  ...(rigid && { rigid }),
  ...(packers && { packed: true }),
})

const nameOf = ({ row, column }: Position, hole: Hole) => `${screenLabel({ row, column })} ${hole.row} ${hole.rank}`

/** What of a position bears on the wall, and where its display's centre is. */
export function heldBy({ outer, plate }: Position, strips: Strip[]): Held {
  const { rect } = plate!
  // A plate on rails has nothing behind its foot: it turns about the lowest rail.
  const rails = strips.filter(({ of }) => of !== 'board').map(({ rect }) => rect.y)
  const foot = rails.length > 0 ? Math.min(...rails) : rect.y
  return {
    centre: { x: outer.x + outer.width / 2, y: outer.y + outer.height / 2 },
    foot,
    top: rect.y + rect.height,
    left: rect.x,
    right: rect.x + rect.width,
  }
}

/** The fastener of a group that bears a case worst, by its index. */
interface Worst {
  case: LoadCase
  index: number
  load: FastenerLoad
  shear: number
  angle: number
  utilisation?: number
}

/** A case's load on every fastener of a group. */
interface Loaded {
  load: PlateLoad
  each: FastenerLoad[]
}

/** Screens alike in their plate, their holes about it and their display have the same loads. */
function likeness({ outer, plate }: Position, places: { x: number, y: number }[]): string {
  const tell = (mm: number) => Math.round(mm * 1e4)
  return [
    tell(outer.x - plate!.centre.x),
    tell(outer.y - plate!.centre.y),
    ...places.flatMap(({ x, y }) => [tell(x - plate!.centre.x), tell(y - plate!.centre.y)]),
  ].join()
}

/** Every case on every fastener of a plate, or why they cannot hold it at all. */
function loadsOn(cases: PlateLoad[], places: { x: number, y: number }[], held: Held): Loaded[] | Unheld {
  const loaded: Loaded[] = []
  for (const load of cases) {
    const each = groupLoads(load, places, held)
    if (typeof each === 'string') return each
    loaded.push({ load, each })
  }
  return loaded
}

/** The worst of a group's fasteners: by its utilisation, or by its load where its strength is not known. */
function worstOf(name: LoadCase, each: FastenerLoad[], strengthAt: (index: number) => Strength | undefined): Worst {
  let [worst, most] = [undefined as Worst | undefined, -Infinity]
  each.forEach((load, index) => {
    const { shear, angle } = shearOf(load)
    const utilisation = strengthAt(index)?.use(load.tension, shear, angle)
    // Far below any utilisation, so that one that is known goes before one that is not.
    const rank = utilisation ?? Math.hypot(load.tension, shear) * 1e-9
    if (rank > most)
      [worst, most] = [
        { case: name, index, load, shear, angle, ...(utilisation !== undefined && { utilisation }) },
        rank,
      ]
  })
  return worst!
}

const useOf = ({ utilisation = 0 }: { utilisation?: number }) => utilisation

/** Of cases that stand twice the worse; the one that governs first. */
function worstByCase<T extends { case: LoadCase, utilisation?: number }>(judged: T[]): T[] {
  const byCase = new Map<LoadCase, T>()
  for (const one of judged) {
    const before = byCase.get(one.case)
    if (!before || useOf(one) > useOf(before)) byCase.set(one.case, one)
  }
  return [...byCase.values()].sort((a, b) => useOf(b) - useOf(a))
}

const allowableAt = (strength: Strength | undefined, { angle, load }: Pick<Worst, 'angle' | 'load'>) =>
  strength ? { allowable: { ...strength.figures(angle, load.tension), together: strength.together } } : {}

/** A worst fastener as it is shown of a screen. */
const toldOf = (
  { case: name, load, shear, utilisation }: Worst,
  position: Position,
  hole: Hole,
  figures: Judged['figures'],
): Judged => ({
  case: name,
  hole: hole.id,
  told: nameOf(position, hole),
  load,
  shear,
  ...(utilisation !== undefined && { utilisation }),
  figures,
})

/** A screen with what every case does to the fasteners of its plate. */
interface LoadedPlate {
  position: Position
  held: Held
  places: Hole[]
  loaded: Loaded[]
  key: string
  mount: Mount
}

/** The loads of every screen whose plate is held, and those plates that their fasteners cannot hold at all. */
function loadPlates(
  pairs: Pair[],
  { array, wall, rules, carrier, strips }: Judging,
): { plates: LoadedPlate[], unheld: { position: Position, why: Unheld }[] } {
  const unheld: { position: Position, why: Unheld }[] = []
  const plates: LoadedPlate[] = []
  for (const { display, mount, positions } of pairs) {
    const casesOf = memoize((orientation: Position['orientation']) =>
      plateLoads({
        display,
        mount,
        orientation,
        wall,
        rules,
        standOff: carrier?.thickness ?? 0,
        ...(array.behind && { behind: array.behind }),
      }),
    )
    const alike = new Map<string, Loaded[] | Unheld>()
    for (const position of positions) {
      const places = (carrier ? position.bolts : plateHoles(position)) ?? []
      if (!position.plate?.held || places.length === 0) continue
      const held = heldBy(
        position,
        strips.filter(({ row }) => row === position.row),
      )
      const key = `${display.id} ${mount.id} ${position.orientation} ${likeness(position, places)}`
      if (!alike.has(key)) alike.set(key, loadsOn(casesOf(position.orientation), places, held))
      const loaded = alike.get(key)!
      if (typeof loaded === 'string') unheld.push({ position, why: loaded })
      else plates.push({ position, held, places, loaded, key, mount })
    }
  }
  return { plates, unheld }
}

/** Judges the fasteners of plates that are fixed to the wall itself. */
function judgeOwn(plates: LoadedPlate[], { wall, fastener, rules, around, bearer, members }: Judging): Judgement[] {
  const framed = isFramed(wall)
  const strengthIn = (mount: Mount, wind: boolean, surroundings?: Surroundings) => {
    const known = fastener && strengthOf(fastener, wall, bearer(mount), { rules, wind, around: surroundings })
    return known?.known ? known.strength : undefined
  }
  // In framing every hole is as strong as another; an anchor's strength depends on what is around it.
  const inFraming = memoize((mount: Mount) => memoize((wind: boolean) => strengthIn(mount, wind)))
  const alike = new Map<string, Worst[]>()
  return plates.map(({ position, held, places, loaded, key, mount }): Judgement => {
    const anchored = memoize((index: number) => strengthIn(mount, false, around(places[index]!)))
    const strengthAt = (name: LoadCase) => (index: number) =>
      framed ? inFraming(mount)(name === 'wind') : anchored(index)
    const judge = () => loaded.map(({ load, each }) => worstOf(load.case, each, strengthAt(load.case)))
    const worst = framed ? (alike.get(key) ?? alike.set(key, judge()).get(key)!) : judge()
    const cases = worst.map((one, n) =>
      toldOf(one, position, places[one.index]!, () => ({
        ...groupFigures(loaded[n]!.load, places, held, one.index),
        ...allowableAt(strengthAt(one.case)(one.index), one),
      })),
    )
    const edges = framed
      ? loaded.flatMap(({ load, each }) =>
          loadedEdges(load.case, each, places, { fastener, members, strength: inFraming(mount)(load.case === 'wind') }),
        )
      : []
    return { position, cases: worstByCase(cases), bolts: [], loadedEdges: edges }
  })
}

/**
 * Which of its cases each screen of a row is in while one case is judged: all in the same; but a hand that pulls at the
 * edge of a case pulls at one screen, and the others hang by their own weight.
 */
function arrangementsOf(row: LoadedPlate[], n: number): number[][] {
  const { loaded } = row[0]!
  const name = loaded[n]!.load.case
  if (!isOffCentre(name)) return [row.map(() => n)]
  // Of an arm that is swung to either side the case before it, on the same side.
  const own = loaded.findLastIndex(({ load }, k) => k < n && load.case === stateOf(name))
  return row.map((_, k) => row.map((__, other) => other === k ? n : own))
}

/**
 * Judges what holds plates on rails or boards: in each row the fasteners of its strips, with all its screens in the
 * same case, or one of them with a hand at its edge.
 */
function judgeCarried(plates: LoadedPlate[], { wall, fastener, rules, carrier, strips, bearer }: Judging): Judgement[] {
  const rows = new Map<number, LoadedPlate[]>()
  for (const plate of plates) rows.set(plate.position.row, [...(rows.get(plate.position.row) ?? []), plate])
  const strengths = memoize((wind: boolean) => {
    const known = fastener && strengthOf(fastener, wall, bearer(plates[0]!.mount), { rules, wind })
    return known?.known ? known.strength : undefined
  })
  const boltsOf = ({ places, loaded }: LoadedPlate, n: number) =>
    places.map(({ x, y, row }, index): BoltLoad => ({ x, y, row, ...loaded[n]!.each[index]! }))
  return [...rows].flatMap(([number, row]) => {
    const holes = row.flatMap(({ position }) => plateHoles(position).map(hole => ({ position, hole })))
    const at = (member: number, y: number) =>
      holes.find(({ hole }) => hole.member === member && Math.abs(hole.y - y) < 1e-6)
    const rowStrips = strips.filter(strip => strip.row === number)
    const judge = (name: LoadCase, bolts: BoltLoad[]): Judged[] => {
      const fasteners = rowStrips.flatMap(strip =>
        supportLoads(strip, carrier!, bolts).flatMap((load, k) => {
          const [support, height] = [Math.floor(k / strip.heights.length), k % strip.heights.length]
          const found = at(strip.supports[support]!.member, strip.heights[height]!)
          return found ? [{ load, found }] : []
        }))
      if (fasteners.length === 0) return []
      const strength = strengths(name === 'wind')
      const worst = worstOf(name, fasteners.map(({ load }) => load), () => strength)
      const { position, hole } = fasteners[worst.index]!.found
      return [toldOf(worst, position, hole, () => ({ ...carriedFigures(worst.load), ...allowableAt(strength, worst) }))]
    }
    const judged = row[0]!.loaded.flatMap((_, n) => arrangementsOf(row, n).flatMap(cases => judge(
      row[0]!.loaded[n]!.load.case, row.flatMap((plate, k) => plate.loaded[cases[k]!] ? boltsOf(plate, cases[k]!) : []),
    )))
    const cases = worstByCase(judged)
    return row.map((plate): Judgement => ({
      position: plate.position,
      cases,
      bolts: plate.loaded.flatMap((_, n) => boltsOf(plate, n)),
      loadedEdges: [],
    }))
  })
}

/**
 * Judges the fasteners of every screen whose plate is held; and tells of plates that their fasteners cannot hold at
 * all.
 */
export function judgePositions(
  pairs: Pair[],
  judging: Judging,
): { judgements: Judgement[], unheld: { position: Position, why: Unheld }[] } {
  const { plates, unheld } = loadPlates(pairs, judging)
  return { judgements: judging.carrier ? judgeCarried(plates, judging) : judgeOwn(plates, judging), unheld }
}
