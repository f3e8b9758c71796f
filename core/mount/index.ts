import { screenId, type Cell } from '../arrange'
import type { Finding } from '../finding'
import { edgeDistanceOf, keepOffOf, pilotOf, WOOD_DIAMETERS } from '../fastening'
import {
  isSheet, uncovered, type Catalogue, type PlanContext, type Mount, type Rules, type ScreenArray, type Wall,
} from '../job'
import { NOTHING_BUILT, type AsBuilt } from '../log'
import { isFramed, standsAt, wallFor, type Survey, type Unsurveyed } from '../survey'
import { words, type UnitSystem } from '../units'
import { plateCentre, plateRect } from './bracketSum'
import { stripsFor, type Strip } from './carrier'
import { carrierFindings, stripClear } from './findings/carrierFindings'
import { holeId, numberOfHole } from './holes/holeId'
import { withLastingNames } from './holes/lastingNames'
import { keepsTo, madeFindings, marked, pinFor, withMade } from './slide/made'
import { cableZoneFindings } from './findings/cableZones'
import { choiceFindings } from './findings/choices'
import { hazardFindings } from './findings/hazards'
import { handFindings } from './findings/byHand'
import { heightFindings, proofFindings, referenceFindings } from './findings/proof'
import { depthFindings } from './depth'
import {
  collisionFindings, lands, missFindings, remediesOn, rowFindings, suitFindings, unsurveyedFindings, unsurveyedOf,
} from './findings/placing'
import { keptSupports, keptZones, stripHoles } from './holes/stripHoles'
import { substrateOf, type Substrate } from './slide/substrate'
import { tightLifts, type TightLift } from './tightLifts'
import { holesOnSolid, type HolePlace } from './holes/holes'
import { zonesByHeight } from './holes/zones'
import { leastHoles, placeLeast, standingArray, standingHoles, unmoved } from './slide/leastChange'
import { mountModels } from './models'
import { barredFor, choiceFor, placePlates, type Placing } from './slide/placing'
import type { Hole, MountedCell, Position } from './position'
import { boxFindings, coverPlateFindings } from './findings/reach'
import { WIRE_ROW, wireId, wirePlace } from './wire'

export * from './bracketSum'
export { holeName, plateHoles } from './position'
export type { ArrayPlan, Hole, LoadCase, MountedCell, Plate, PlateUse, Position } from './position'
export { mountFaults } from './findings/placing'
export { HAZARD_CLEARANCE, HAZARDS } from './findings/hazards'
export { BEND } from './depth'
export { passes, type TightLift } from './tightLifts'
export { depthsOf, type Depths } from './depth'
export { leansOn, USUAL_CARRIERS, type Strip } from './carrier'
export { marginFigure } from './holes/margin'
export { mountModels, sameUse } from './models'
export { usingSlots } from './holes/slotUse'
export type { Placing } from './slide/placing'
export { placedOf, type Placed } from './slide/placed'

/** What the mount stage decides for one array: its plates and holes, and what stands between them and the members. */
export interface Mounting {
  positions: Position[]
  strips: Strip[]
  unsurveyed: Unsurveyed[]
  lifts: TightLift[]
  findings: Finding[]
}

interface Context {
  array: ScreenArray
  wall: Wall
  survey: Survey
  catalogue: Catalogue
  rules: Rules
  units: UnitSystem
  mountOf: (cell: Cell) => Mount
  substrate: Substrate
}

const idOf = (array: ScreenArray, { row, column }: Cell) => screenId(array, row, column)
const fastenerOf = (array: ScreenArray, { fasteners }: Catalogue) => fasteners.find(({ id }) => id === array.fastener)
/** Rails and boards go across members; a wall that carries all over needs none. */
const carrierOf = (array: ScreenArray, wall: Wall) => isFramed(wall) ? array.carrier : undefined

/** What the plates of an array stand on, or undefined where a cell has no mount. */
function contextOf(
  { array, cells }: { array: ScreenArray, cells: Cell[] },
  document: Wall,
  survey: Survey,
  { catalogue, rules, site }: PlanContext,
  built: AsBuilt,
): Context | undefined {
  const modelOf = mountModels(array, catalogue)
  if (cells.some(cell => !modelOf(cell))) return undefined
  const fastener = fastenerOf(array, catalogue)
  const wall = wallFor(document, fastener?.base)
  const substrate = substrateOf(wall, survey, fastener, rules, { carrier: carrierOf(array, wall), dead: built.dead })
  return {
    array, wall, survey, catalogue, rules, units: site?.units ?? 'metric', mountOf: cell => modelOf(cell)!, substrate,
  }
}

/**
 * Places the plates of an array on what the survey found; one that is as it was issued stays as it was, but for what
 * has to move. Where a cell has no mount, nothing is shifted.
 */
export function place(
  { array, cells }: { array: ScreenArray, cells: Cell[] },
  wall: Wall,
  survey: Survey,
  job: PlanContext,
  built: AsBuilt = NOTHING_BUILT,
): Placing {
  const context = contextOf({ array, cells }, wall, survey, job, built)
  if (!context) return { shift: { x: 0, y: 0 }, plates: [] }
  const standing = standingArray(array, built)
  return standing
    ? placeLeast({ array, cells, mountOf: context.mountOf }, { wall, substrate: context.substrate }, built, standing)
    : placePlates({ array, cells, mountOf: context.mountOf }, { wall, substrate: context.substrate }, built)
}

/** What is drilled and driven in the holes of an array, through so much under the head, and into which sheet. */
function drivenIn(
  { array, wall, catalogue, units }: Context, over: number,
): Pick<Hole, 'bit' | 'depth' | 'fastener' | 'into'> {
  const fastener = fastenerOf(array, catalogue)
  const { kind } = wall.structure
  const driven = { ...pilotOf(fastener, wall, over, units), ...fastener && { fastener: fastener.id } }
  return isSheet(kind) ? { ...driven, into: kind } : driven
}

/** Numbers the holes of each row, and says what is drilled and driven there. */
function numbered(places: (HolePlace & { y: number })[], id: string, context: Context, over: number): Hole[] {
  const driven = drivenIn(context, over)
  const inRow = new Map<string, number>()
  return places.map((place) => {
    const rank = (inRow.get(place.row) ?? 0) + 1
    inRow.set(place.row, rank)
    return { ...place, ...driven, id: holeId(id, place.row, rank), rank }
  })
}

/**
 * The holes of a plate that is as it was issued, with as little moved as can be; where it cannot be held so they stay,
 * and it is said what they miss. Undefined where it was not issued.
 */
function holesAsIssued(
  context: Context, cell: Cell, centre: { x: number, y: number }, built: AsBuilt,
): Hole[] | undefined {
  const { array, substrate, mountOf } = context
  const issued = standingArray(array, built)?.plateOf(idOf(array, cell))
  if (!issued) return undefined
  const mount = mountOf(cell)
  // Where made holes are out of its reach the plate gets others.
  const pin = pinFor(idOf(array, cell), mount, built)
  if (pin && !keepsTo(pin, centre)) return undefined
  const holes = standingHoles(array, cell, mount, issued, built)
  const seated = leastHoles(substrate, mount, centre, holes) ?? unmoved(mount, centre, holes, substrate)
  if (!seated) return undefined
  const driven = drivenIn(context, mount.plate.thickness)
  const fixed = new Set(holes.filter(({ fixed }) => fixed).map(({ id }) => id))
  return marked(seated.map(({ stays: _, ...hole }): Hole => {
    // What it was called when it was issued, wherever in its row it is now.
    const rank = numberOfHole(hole.id)
    const made = built.holes.some(each => each.hole === hole.id && each.result === 'hit')
    const stays = fixed.has(hole.id)
    return { ...hole, ...stays && substrate.at(hole.x, hole.y), ...driven, rank, ...stays && !made && { byHand: true } }
  }), built)
}

/** The holes of a plate that is fixed to the wall itself, those moved manually where they were put. */
function freshHoles(context: Context, cell: Cell, centre: { x: number, y: number }, built: AsBuilt): Hole[] {
  const { array, substrate } = context
  const mount = context.mountOf(cell)
  const places = substrate
    .holes(mount, centre)
    .map(place => ({ ...place, y: centre.y + mount.plate.slots[place.slot!]!.y }))
  const planned = numbered(places, idOf(array, cell), context, mount.plate.thickness).map((hole): Hole => {
    const moved = array.holes?.find(
      ({ row, column, of, rank }) =>
        row === cell.row && column === cell.column && of === hole.row && rank === hole.rank,
    )
    if (!moved) return hole
    const { slot: _slot, member: _member, ply: _ply, margin: _margin, ...rest } = hole
    const slot = mount.plate.slots.findIndex(
      ({ row, x1, x2 }) => row === hole.row && moved.x >= centre.x + x1 - 1e-9 && moved.x <= centre.x + x2 + 1e-9,
    )
    return { ...rest, x: moved.x, byHand: true, ...slot >= 0 && { slot }, ...substrate.at(moved.x, hole.y) }
  })
  return withMade(planned, { screen: idOf(array, cell), mount, centre }, built, substrate.at)
}

/**
 * Whether the holes of a row are each in a piece of its own; two plies of one member are, where the maker's distance
 * and the fasteners' spacing allow it.
 */
function inOwnPieces({ substrate, array, catalogue }: Context, mount: Mount, row: Hole[]): boolean {
  const [plies, spacing] = [
    substrate.plySpacing(mount),
    WOOD_DIAMETERS.spacing * (fastenerOf(array, catalogue)?.diameter ?? 0),
  ]
  return row.every((hole, n) => row.slice(0, n).every((other) => {
    if (hole.member === undefined || hole.member !== other.member) return true
    return (
      plies !== undefined && hole.ply !== other.ply && Math.abs(hole.x - other.x) >= Math.max(plies, spacing) - 1e-6
    )
  }))
}

/**
 * Whether every hole of a plate holds, there are as many as it needs, and those of a row are in pieces of their own.
 */
function holds(context: Context, mount: Mount, holes: Hole[]): boolean {
  const { substrate, survey: { members } } = context
  const landed = substrate.allOver || holes.every(hole => lands(hole, members))
  const slotted = holes.every(({ slot }) => slot !== undefined)
  const stand = holes.every(({ member, y }) => member === undefined || standsAt(members[member]!, y))
  return landed && slotted && stand && mount.needs.rows.every((name) => {
    const row = holes.filter(hole => hole.row === name)
    return row.length === mount.needs.members && inOwnPieces(context, mount, row)
  })
}

/** The bolts by which a plate hangs on its carrier. */
const boltsOf = (mount: Mount, centre: { x: number, y: number }, id: string) =>
  holesOnSolid(mount, centre.x).map((place, n): Hole => (
    { ...place, y: centre.y + mount.plate.slots[place.slot!]!.y, id: `${id}-bolt-${n + 1}`, rank: n + 1 }
  ))

function mountCells(
  context: Context, cells: Cell[], { plates }: Placing, built: AsBuilt,
): { mounted: MountedCell[], strips: Strip[] } {
  const { array, wall, survey, catalogue, mountOf } = context
  const carrier = carrierOf(array, wall)
  const centres = cells.map((cell, n) => plateCentre(cell.pattern, mountOf(cell), plates[n]!))
  const zonesAt = keptZones(
    array.id,
    zonesByHeight(survey.members, edgeDistanceOf(fastenerOf(array, catalogue))),
    built,
  )
  const strips = carrier
    ? stripsFor(
        carrier,
        cells.map((cell, n) => ({ mount: mountOf(cell), row: cell.row, ...centres[n]! })),
        { zonesAt, members: survey.members, wallWidth: wall.width, keptOf: keptSupports(array.id, built) },
      )
    : []
  // Each hole of a rail or board is counted with the plate nearest to it.
  const carried = new Map<number, (HolePlace & { y: number })[]>()
  for (const strip of strips) {
    for (const hole of stripHoles(array.id, strip, zonesAt, built)) {
      const away = (n: number) => Math.abs(centres[n]!.x - hole.x)
      const nearest = cells.map((_, n) => n).filter(n => cells[n]!.row === strip.row)
        .reduce((a, b) => away(b) < away(a) ? b : a)
      carried.set(nearest, [...carried.get(nearest) ?? [], hole])
    }
  }
  /** Screens whose holes are as they were issued: these have their names. */
  const kept = new Set<string>()
  const mounted = cells.map((cell, n): MountedCell => {
    const [mount, centre, own] = [mountOf(cell), centres[n]!, choiceFor(array, cell)]
    const asIssued = carrier ? undefined : holesAsIssued(context, cell, centre, built)
    if (asIssued) kept.add(idOf(array, cell))
    const holes = carrier
      ? numbered(
          carried.get(n) ?? [],
          idOf(array, cell),
          context,
          carrier.kind === 'rail' ? (carrier.web ?? 0) : carrier.thickness,
        )
      : (asIssued ?? freshHoles(context, cell, centre, built))
    const clear = barredFor(wall, mount, centre.y)
      .every(({ from, to }) => centre.x <= from + 1e-9 || centre.x >= to - 1e-9)
    const isCarried = () =>
      strips.filter(({ row }) => row === cell.row).every(strip => strip.held && stripClear(strip, wall))
    const held = clear && (carrier ? isCarried() : holds(context, mount, holes))
    const bolts = carrier && boltsOf(mount, centre, idOf(array, cell))
    const byHand = own?.lateralShift !== undefined || own?.heightShift !== undefined
    const plate = { centre, rect: plateRect(centre, mount), ...plates[n]!, byHand, held }
    return { ...cell, id: idOf(array, cell), plate, holes, ...bolts && { bolts } }
  })
  const fresh = mounted.filter(({ id }) => !kept.has(id))
  const renamed = new Map(withLastingNames(array.id, fresh, built).map(cell => [cell.id, cell]))
  const named = mounted.map(cell => renamed.get(cell.id) ?? cell)
  // What is known of a hole of a rail or board is known by its lasting name.
  const told = carrier ? named.map(cell => ({ ...cell, holes: marked(cell.holes, built) })) : named
  return { mounted: told.map(cell => withWire(context, cell, strips, built)), strips }
}

/** What is drilled at the anchor of a safety wire, where the covering may be cut away. */
const atAnchor = (context: Context): Context =>
  context.array.wireBare ? { ...context, wall: uncovered(context.wall) } : context

/** A screen with the anchor of its safety wire, where its mount has one and the wall takes it. */
function withWire(context: Context, cell: MountedCell, strips: Strip[], built: AsBuilt): MountedCell {
  const { array, wall, survey, mountOf, substrate, catalogue, rules } = context
  const mount = mountOf(cell)
  if (!mount.wire) return cell
  const fastener = fastenerOf(array, catalogue)
  const structure = carrierOf(array, wall)
    ? substrateOf(wall, survey, fastener, rules, { dead: built.dead })
    : substrate
  const place = wirePlace({
    cell, mount, wall, built, substrate: structure, covered: strips.map(({ rect }) => rect), framed: isFramed(wall),
    keepOff: keepOffOf(fastener, wall.structure.kind),
  })
  if (!place) return cell
  const moved = array.holes?.find(({ row, column, of }) =>
    of === WIRE_ROW && row === cell.row && column === cell.column)
  const at = moved ? { ...place, x: moved.x, byHand: true, ...structure.at(moved.x, place.y) } : place
  const anchor: Hole = { ...at, ...drivenIn(atAnchor(context), 0), ...wireId(cell.id, at, built) }
  return { ...cell, holes: [...cell.holes, ...marked([anchor], built)] }
}

/** The plates and holes of a placed array without its findings; an empty list where a screen has no mount. */
export function mountedCells(
  { array, cells, placing }: { array: ScreenArray, cells: Cell[], placing: Placing },
  wall: Wall,
  survey: Survey,
  job: PlanContext,
  built: AsBuilt = NOTHING_BUILT,
): MountedCell[] {
  const context = contextOf({ array, cells }, wall, survey, job, built)
  return context ? mountCells(context, cells, placing, built).mounted : []
}

/** An array of which a screen has no mount: its screens stand where they are arranged, and no plate does. */
const withoutMount = (array: ScreenArray, cells: Cell[]): Mounting => ({
  positions: cells.map(cell => ({ ...cell, id: idOf(array, cell) })),
  strips: [],
  unsurveyed: [],
  lifts: [],
  findings: [{
    severity: 'stop',
    code: 'mount-not-chosen',
    stage: 'mount',
    subject: { kind: 'array', id: array.id },
    message: words`No mount is chosen for ${array.name}.`,
  }],
})

/** Puts every plate and hole of an array where it was placed. */
export function mount(
  { array, cells, placing }: { array: ScreenArray, cells: Cell[], placing: Placing },
  document: Wall,
  survey: Survey,
  job: PlanContext,
  built: AsBuilt = NOTHING_BUILT,
): Mounting {
  const { catalogue, rules } = job
  const context = contextOf({ array, cells }, document, survey, job, built)
  if (!context) return withoutMount(array, cells)
  const { members, coursing } = survey
  const { substrate, mountOf, wall } = context
  const { mounted, strips } = mountCells(context, cells, placing, built)
  const known = members.length > 0 || coursing !== undefined
  const carrier = carrierOf(array, wall)
  const remedyAt = remediesOn(substrate, wall)
  const checked = known && !substrate.allOver && !carrier
  const unsurveyed = checked && isFramed(wall) ? unsurveyedOf(wall, mounted, mountOf) : []
  // A stripped hole is in its stud: it is cured there, and misses nothing.
  const stripped = built.dead.filter(({ result }) => result === 'stripped').map(({ hole }) => hole)
  const displayOf = (cell: MountedCell) => catalogue.displays.find(({ id }) => id === cell.model)
  const lifts = tightLifts(array, mounted, mountOf, displayOf, wall)
  return {
    lifts,
    positions: mounted,
    strips,
    unsurveyed: unsurveyed.map(({ from, to, y, holes, of }) => ({ from, to, y, holes, of })),
    findings: [
      ...choiceFindings(array, cells, wall, catalogue, members),
      ...suitFindings(array, cells, mountOf, catalogue, wall),
      ...unsurveyedFindings(unsurveyed),
      ...(checked
        ? mounted.flatMap(cell =>
            missFindings(
              array,
              cell,
              survey,
              () => remedyAt(cell, mountOf(cell)),
              new Set([...stripped, ...(unsurveyed.find(each => each.cell === cell)?.ids ?? [])]),
            ),
          )
        : []),
      ...(carrier
        ? carrierFindings(array, carrier, strips, wall)
        : [
            ...mounted.flatMap(cell =>
              rowFindings(mountOf(cell), cell, row => inOwnPieces(context, mountOf(cell), row))),
            ...mounted.flatMap(cell => madeFindings(cell, mountOf(cell), built)),
          ]),
      ...handFindings(array, mounted),
      ...proofFindings(array, mounted, wall, members, rules),
      ...referenceFindings(array, mounted, wall, members, survey.uncheckedReferences),
      ...heightFindings(mounted, members),
      ...hazardFindings(wall, mounted), ...cableZoneFindings(array, wall, mounted),
      ...coverPlateFindings(wall, mounted),
      ...boxFindings(wall, mounted, members),
      ...collisionFindings(mounted),
      ...depthFindings({ array, cells: mounted, mountOf, displayOf, wall }, lifts, survey.relief),
    ],
  }
}
