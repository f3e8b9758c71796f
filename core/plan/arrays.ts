import { arrange, pixelMap, viewingFindings, type Arrangement } from '../arrange'
import type { Finding } from '../finding'
import { fix } from '../fix'
import type { Rect } from '../geometry'
import type { PlanContext, ScreenArray, Wall } from '../job'
import type { AsBuilt } from '../log'
import { mount, mountedCells, place, type ArrayPlan, type MountedCell, type Mounting, type Placing } from '../mount'
import type { Survey } from '../survey'
import { words } from '../units'
import { modelFindings } from './findings'

/** An array with its displays where they hang, once its plates are placed. */
export interface LaidOut { array: ScreenArray, arrangement: Arrangement, placing: Placing }

/** An array with its plates and holes, and what its displays' pictures make. */
export interface MountedArray {
  array: ScreenArray
  mounting: Mounting
  plan: Omit<ArrayPlan, 'positions'>
  crops: Rect[]
  findings: Finding[]
}

/** Arranges an array and places its plates; undefined where its display is not in the catalogue. */
export function layOut(
  array: ScreenArray,
  wall: Wall,
  surveyed: Survey,
  context: PlanContext,
  built: AsBuilt,
): LaidOut | undefined {
  const { displays } = context.catalogue
  const nominal = arrange(array, displays, wall)
  if (!nominal) return undefined
  const placing = place({ array, cells: nominal.cells }, wall, surveyed, context, built)
  const { x, y } = placing.shift
  return {
    array,
    placing,
    arrangement: x === 0 && y === 0 ? nominal : arrange(array, displays, wall, placing.shift)!,
  }
}

/** A stop for an array whose display is not in the catalogue. */
export const displayUnknown = ({ id, name }: ScreenArray): Finding => ({
  severity: 'stop',
  code: 'display-unknown',
  stage: 'arrange',
  subject: { kind: 'array', id },
  message: words`The display of ${name} is not in the catalogue.`,
})

/** Puts every plate and hole of an array where it was placed. */
export function mountLaidOut(
  { array, arrangement, placing }: LaidOut,
  wall: Wall,
  surveyed: Survey,
  context: PlanContext,
  built: AsBuilt,
): MountedArray {
  const { catalogue, site } = context
  const { outline, imageGap, cells } = arrangement
  const mounting = mount({ array, cells, placing }, wall, surveyed, context, built)
  const display = catalogue.displays.find(({ id }) => id === array.display)!
  const mountModel = catalogue.mounts.find(({ id }) => id === array.mount)
  const map = cells.length > 0 ? pixelMap(cells, imageGap) : undefined
  return {
    array,
    mounting,
    plan: {
      id: array.id,
      name: array.name,
      outline,
      imageGap,
      canvas: map?.canvas ?? { width: 0, height: 0 },
      shift: placing.shift,
      strips: mounting.strips,
    },
    crops: map?.crops.map(({ rounded }) => rounded) ?? [],
    findings: [
      ...modelFindings(array, cells, catalogue),
      ...arrangement.findings,
      ...viewingFindings(
        array,
        { outline, cells, model: display, mount: mountModel },
        site?.units ?? 'metric',
        wall.walkway,
      ),
      ...mounting.findings,
    ],
  }
}

/** The plates and holes of an array where it was placed, and no findings about them. */
export function platesOf(
  { array, arrangement, placing }: LaidOut,
  wall: Wall,
  surveyed: Survey,
  context: PlanContext,
  built: AsBuilt,
): MountedCell[] {
  return mountedCells({ array, cells: arrangement.cells, placing }, wall, surveyed, context, built)
}

/** An array with what its fasteners are loaded with. */
export interface FixedArray { plan: ArrayPlan, findings: Finding[] }

/** What holds an array, once the holes of all are known: anchors of one weaken those of another beside it. */
export function fixMounted(
  { array, mounting: { positions, strips }, plan, crops, findings }: MountedArray,
  everyArray: MountedArray[],
  wall: Wall,
  { members }: Survey,
  context: PlanContext,
): FixedArray {
  const everyHole = everyArray.flatMap(({ mounting }) => mounting.positions.flatMap(({ holes = [] }) => holes))
  const fixed = fix(array, positions, wall, context, { strips, members, everyHole })
  return {
    plan: {
      ...plan,
      positions: positions.map((position, n) => {
        const loads = fixed.loads.get(position.id)
        return { ...position, crop: crops[n]!, ...(loads && { loads }) }
      }),
    },
    findings: [...findings, ...fixed.findings],
  }
}
