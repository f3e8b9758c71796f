import type { Cell } from '../arrange'
import type { Finding } from '../finding'
import { pilotOf } from '../fix/pilot'
import type { Catalogue, Job, Mount, ScreenArray, Wall } from '../job'
import { onceForEach } from '../memo'
import { standsAt, type Member, type Survey } from '../survey'
import { words } from '../units'
import { plateCentre, plateRect } from './bracketSum'
import { hazardFindings } from './hazards'
import { heightFindings, proofFindings } from './proof'
import { collisionFindings, countFindings, missFindings, remedyOf, suitFindings } from './findings'
import { groundOf, type Ground } from './ground'
import { barredFor, choiceFor, placePlates, type Placing } from './placing'
import type { MountedCell, Position } from './position'
import { boxFindings, coverPlateFindings } from './reach'

export * from './bracketSum'
export type { ArrayPlan, Hole, MountedCell, Plate, PlateUse, Position } from './position'
export { mountFaults } from './findings'
export { HAZARDS } from './hazards'
export type { Placing } from './placing'

/** What the mount stage decides for one array. */
export interface Mounting { positions: Position[], findings: Finding[] }

const idOf = (array: ScreenArray, { row, column }: Cell) => `${array.id}-r${row}c${column}`
const fastenerOf = (array: ScreenArray, { fasteners }: Catalogue) => fasteners.find(({ id }) => id === array.fastener)

/** The mount of every cell of an array, or undefined where one has none. */
function mountsOf(array: ScreenArray, cells: Cell[], { mounts }: Catalogue): ((cell: Cell) => Mount) | undefined {
  const mountOf = onceForEach((id: string | undefined) => mounts.find(mount => mount.id === id))
  if (cells.some(cell => !mountOf(cell.mount ?? array.mount))) return undefined
  return cell => mountOf(cell.mount ?? array.mount)!
}

/** Places the plates of an array on what the survey found; where a cell has no mount, nothing is shifted. */
export function place(array: ScreenArray, cells: Cell[], wall: Wall, survey: Survey, catalogue: Catalogue): Placing {
  const mountOf = mountsOf(array, cells, catalogue)
  if (!mountOf) return { shift: { x: 0, y: 0 }, plates: [] }
  return placePlates(array, cells, mountOf, wall, groundOf(wall, survey, fastenerOf(array, catalogue)))
}

function mountCell(array: ScreenArray, mount: Mount, cell: Cell, shifts: Placing['plates'][number], wall: Wall, catalogue: Catalogue, { ground, members }: { ground: Ground, members: Member[] }): MountedCell {
  const centre = plateCentre(cell.pattern, mount, shifts)
  const id = idOf(array, cell)
  const fastener = fastenerOf(array, catalogue)
  const drilling = pilotOf(fastener, wall.structure, mount.plate.thickness)
  const inRow = new Map<string, number>()
  const holes = ground.holes(mount, centre).map((place) => {
    const rank = (inRow.get(place.row) ?? 0) + 1
    inRow.set(place.row, rank)
    return {
      ...place,
      ...drilling,
      id: `${id}-${place.row}-${rank}`,
      y: centre.y + mount.plate.slots[place.slot!]!.y,
      ...fastener && { fastener: fastener.id },
    }
  })
  const landed = ground.allOver || holes.every(({ margin }) => margin !== undefined && margin >= -1e-9)
  const stand = holes.every(({ member, y }) => member === undefined || standsAt(members[member]!, y))
  const clear = barredFor(wall, mount, centre.y).every(({ from, to }) => centre.x <= from + 1e-9 || centre.x >= to - 1e-9)
  const held = landed && stand && clear && holes.length === mount.needs.members * mount.needs.rows.length
  const own = choiceFor(array, cell)
  const byHand = own?.lateralShift !== undefined || own?.heightShift !== undefined
  return { ...cell, id, plate: { centre, rect: plateRect(centre, mount), ...shifts, byHand, held }, holes }
}

function choiceFindings(array: ScreenArray): Finding[] {
  if (array.fastener !== undefined) return []
  return [{
    severity: 'stop', code: 'fastener-not-chosen', stage: 'mount', subject: array.id,
    message: words`No fastener is chosen for ${array.name}, so its edge distance is not known.`,
  }]
}

/** Puts every plate and hole of an array where it was placed. */
export function mount(array: ScreenArray, cells: Cell[], { plates }: Placing, wall: Wall, survey: Survey, { catalogue, rules }: Pick<Job, 'catalogue' | 'rules'>): Mounting {
  const mountOf = mountsOf(array, cells, catalogue)
  if (!mountOf) {
    return { positions: cells.map(cell => ({ ...cell, id: idOf(array, cell) })), findings: [{
      severity: 'stop', code: 'mount-not-chosen', stage: 'mount', subject: array.id,
      message: words`No mount is chosen for ${array.name}.`,
    }] }
  }
  const { members } = survey
  const ground = groundOf(wall, survey, fastenerOf(array, catalogue))
  const mounted = cells.map((cell, n) => mountCell(array, mountOf(cell), cell, plates[n]!, wall, catalogue, { ground, members }))
  const known = members.length > 0 || survey.coursing !== undefined
  return {
    positions: mounted,
    findings: [
      ...choiceFindings(array),
      ...suitFindings(array, cells, catalogue, wall),
      ...known && !ground.allOver ? mounted.flatMap(cell => missFindings(array, cell, survey, () => remedyOf(cell, mountOf(cell), ground, wall))) : [],
      ...mounted.flatMap(cell => countFindings(mountOf(cell), cell)),
      ...proofFindings(array, mounted, wall, members, rules),
      ...heightFindings(mounted, members),
      ...hazardFindings(wall, mounted),
      ...coverPlateFindings(wall, mounted),
      ...boxFindings(wall, mounted, members),
      ...collisionFindings(mounted),
    ],
  }
}
