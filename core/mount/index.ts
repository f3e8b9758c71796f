import type { Arrangement, Cell } from '../arrange'
import type { Finding } from '../finding'
import { pilotOf } from '../fix/pilot'
import type { Catalogue, Job, Mount, ScreenArray, Wall } from '../job'
import { onceForEach } from '../memo'
import { isFramed, type Survey } from '../survey'
import { words } from '../units'
import { plateCentre, plateRect } from './bracketSum'
import { hazardFindings } from './hazards'
import { heightFindings, proofFindings } from './proof'
import { collisionFindings, countFindings, missFindings, remedyOf, suitFindings } from './findings'
import { holesOnFraming, holesOnSolid, type HolePlace } from './holes'
import { edgeDistanceOf, landingsOf } from './landing'
import type { MountedCell, Position } from './position'

export * from './bracketSum'
export type { ArrayPlan, Hole, MountedCell, Plate, PlateUse, Position } from './position'
export { edgeDistanceOf, landingsOf } from './landing'
export { mountFaults } from './findings'
export { HAZARDS } from './hazards'

/** What the mount stage decides for one array. */
export interface Mounting { positions: Position[], findings: Finding[] }

const idOf = (array: ScreenArray, { row, column }: Cell) => `${array.id}-r${row}c${column}`

function mountCell(array: ScreenArray, mount: Mount, cell: Cell, wall: Wall, catalogue: Catalogue, placesAt: (plateX: number) => HolePlace[]): MountedCell {
  const lateralShift = array.plates?.find(({ row, column }) => row === cell.row && column === cell.column)?.lateralShift ?? 0
  const centre = plateCentre(cell.pattern, mount, lateralShift)
  const id = idOf(array, cell)
  const fastener = catalogue.fasteners.find(({ id }) => id === array.fastener)
  const drilling = pilotOf(fastener, wall.structure, mount.plate.thickness)
  const inRow = new Map<string, number>()
  const holes = placesAt(centre.x).map((place) => {
    const rank = (inRow.get(place.row) ?? 0) + 1
    inRow.set(place.row, rank)
    return {
      ...place,
      ...drilling,
      id: `${id}-${place.row}-${rank}`,
      y: centre.y + mount.plate.slots[place.slot]!.y,
      ...fastener && { fastener: fastener.id },
    }
  })
  const landed = !isFramed(wall) || holes.every(({ margin }) => margin !== undefined && margin >= -1e-9)
  const held = landed && holes.length === mount.needs.members * mount.needs.rows.length
  return { ...cell, id, plate: { centre, rect: plateRect(centre, mount), lateralShift, held }, holes }
}

function choiceFindings(array: ScreenArray, wall: Wall): Finding[] {
  const findings: Finding[] = []
  if (array.fastener === undefined) findings.push({
    severity: 'stop', code: 'fastener-not-chosen', stage: 'mount', subject: array.id,
    message: words`No fastener is chosen for ${array.name}, so its edge distance is not known.`,
  })
  if (!isFramed(wall)) findings.push({
    severity: 'caution', code: 'base-not-checked', stage: 'mount', subject: array.id,
    message: words`Joints, edges and what each anchor carries in ${wall.structure.kind} are not worked out yet.`,
    remedy: words`Follow the anchor maker’s instructions before drilling.`,
  })
  return findings
}

/** Places every plate and hole of an array on what the survey found. */
export function mount(array: ScreenArray, { cells: screens }: Arrangement, wall: Wall, { members }: Survey, { catalogue, rules }: Pick<Job, 'catalogue' | 'rules'>): Mounting {
  const mountOf = onceForEach((id: string | undefined) => catalogue.mounts.find(mount => mount.id === id))
  if (screens.some(cell => !mountOf(cell.mount ?? array.mount))) {
    return { positions: screens.map(cell => ({ ...cell, id: idOf(array, cell) })), findings: [{
      severity: 'stop', code: 'mount-not-chosen', stage: 'mount', subject: array.id,
      message: words`No mount is chosen for ${array.name}.`,
    }] }
  }
  const modelOf = (cell: Cell) => mountOf(cell.mount ?? array.mount)!
  const fastener = catalogue.fasteners.find(({ id }) => id === array.fastener)
  const landings = isFramed(wall) ? landingsOf(members, edgeDistanceOf(fastener)) : undefined
  const placesFor = onceForEach((model: Mount) => onceForEach((plateX: number) => landings ? holesOnFraming(model, plateX, landings) : holesOnSolid(model, plateX)))
  const remedyFor = onceForEach((model: Mount) => onceForEach((nominalX: number) => remedyOf(model, nominalX, landings ?? [])))
  const cells = screens.map(cell => mountCell(array, modelOf(cell), cell, wall, catalogue, placesFor(modelOf(cell))))
  return {
    positions: cells,
    findings: [
      ...choiceFindings(array, wall),
      ...suitFindings(array, screens, catalogue, wall),
      ...members.length > 0 && landings ? cells.flatMap(cell => missFindings(array, cell, members, remedyFor(modelOf(cell)))) : [],
      ...cells.flatMap(cell => countFindings(modelOf(cell), cell)),
      ...proofFindings(array, cells, wall, members, rules),
      ...heightFindings(cells, members),
      ...hazardFindings(wall, cells),
      ...collisionFindings(cells),
    ],
  }
}
