import type { Catalogue, Rules, ScreenArray, Wall } from '../job'
import type { ArrayPlan } from '../mount'
import { chosenFigure } from '../rules'
import { reliefOf, standsOut } from '../survey/relief'
import { trueScreens, type Adjuster, type TrueScreen } from '../true'
import type { Causes } from './trial'
import { turningOf } from './turned'
import type { Reach, StudiedWall } from './wall'

/** How far a distance to the wall's face is misread, one σ, mm. */
const FACE_READ = 1

/** What the study is not told of a wall, and takes as if it did not matter. */
export type NotKnown = 'size' | 'faces'

/** An array as the study sees it, what makes it other than it was planned, and what is not known of that. */
export interface StudiedArray {
  wall: StudiedWall
  causes: Causes
  notKnown: NotKnown[]
}

/** What is left of an adjuster's travel; a mount without it stays where it is. */
function reachOf({ travels }: TrueScreen, ...adjusters: Adjuster[]): Reach {
  const found = travels.filter(({ adjuster }) => adjusters.includes(adjuster))
  return found.length === 0
    ? { least: 0, most: 0 }
    : { least: Math.max(...found.map(({ least }) => least)), most: Math.min(...found.map(({ most }) => most)) }
}

/** Depth goes as far as the mount's sheet says, whether or not that tells how its screws are turned. */
const depthOf = ({ depth }: TrueScreen): Reach => ({ least: -depth, most: depth })

/**
 * An array as the study sees it, by its plan, its models and the house rules: a plate that the plan put aside has that
 * much less travel left. A display whose sheet gives no tolerance of its size is taken to be true to it, and a face
 * that
 * was not surveyed to be flat: both are reported.
 */
export function studiedArray(
  array: ScreenArray,
  plan: ArrayPlan,
  wall: Pick<Wall, 'surface'>,
  catalogue: Catalogue,
  rules: Rules,
): StudiedArray {
  const of = (key: Parameters<typeof chosenFigure>[0]) => chosenFigure(key, rules, 'metric')
  const relief = reliefOf(wall.surface ?? [])
  const positionOf = new Map(plan.positions.map(position => [position.id, position]))
  const squareOf = ({ id }: TrueScreen) => sizeOf(positionOf.get(id)!.model) ?? of('squareness')
  const sizeOf = (model: string) => catalogue.displays.find(({ id }) => id === model)?.sizeTolerance
  const hung = trueScreens(array, plan, catalogue, new Map())
  const screens = hung.map((screen) => {
    const { plate, outer, model } = positionOf.get(screen.id)!
    const at = plate?.centre ?? { x: outer.x + outer.width / 2, y: outer.y + outer.height / 2 }
    return {
      row: screen.row,
      column: screen.column,
      x: reachOf(screen, 'lateral'),
      y: reachOf(screen, 'height', 'height-left', 'height-right'),
      depth: depthOf(screen),
      size: sizeOf(model) ?? 0,
      ...(relief && { face: { out: standsOut(relief, at.x, at.y), sigma: FACE_READ } }),
    }
  })
  return {
    wall: {
      screens,
      gap: array.gap,
      tolerance: of('seamTolerance'),
      turning: turningOf(hung, hung.map(squareOf), array.gap, relief !== undefined),
    },
    causes: {
      marking: of('markingSigma'),
      drilling: of('drillWander'),
      slack: of('plateSlack'),
      size: 1,
      faces: 1,
      squareness: 1,
      slip: of('adjusterSlip'),
      gauge: of('gaugeSigma'),
    },
    notKnown: [
      ...(plan.positions.some(({ model }) => sizeOf(model) === undefined) ? ['size' as const] : []),
      ...(relief ? [] : ['faces' as const]),
    ],
  }
}
