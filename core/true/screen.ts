import { mountModels, type ArrayPlan } from '../mount'
import type { Catalogue, Mount, ScreenArray } from '../job'

/** Which screw or slide of a mount is moved, as entries of the log name it. */
export type Adjuster
  = | 'height'
    | 'height-left'
    | 'height-right'
    | 'lateral'
    | 'depth-top-left'
    | 'depth-top-right'
    | 'depth-bottom-left'
    | 'depth-bottom-right'

/** What an adjuster is called. */
export const ADJUSTER_NAMES: Record<Adjuster, string> = {
  'height': 'height adjusters',
  'height-left': 'left height adjuster',
  'height-right': 'right height adjuster',
  'lateral': 'lateral slide',
  'depth-top-left': 'top left depth adjuster',
  'depth-top-right': 'top right depth adjuster',
  'depth-bottom-left': 'bottom left depth adjuster',
  'depth-bottom-right': 'bottom right depth adjuster',
}

/**
 * An adjuster of a screen: how far it may still go down or left and up or right, mm, and what a turn of it does; absent
 * for a slide, which has no screw.
 */
export interface Travel { adjuster: Adjuster, least: number, most: number, perTurn?: number }

/** A screen as it can be trued: its size, and where its screws are, mm. */
export interface TrueScreen {
  /** As readings name it: r1c2. */
  name: string
  id: string
  row: number
  column: number
  width: number
  height: number
  /** Distance between its two height screws; absent where the two act as one. */
  span?: number
  depthSpan?: { x: number, y: number }
  /** How thick its case is, where its model is at hand: no step is deeper. */
  thick?: number
  /** How far its face goes in or out either way, with or without screws that tell how. */
  depth: number
  /** How far it may be rolled either way, rad. */
  roll: number
  travels: Travel[]
}

export const nameOf = ({ row, column }: { row: number, column: number }): string => `r${row}c${column}`
const RAD = Math.PI / 180

/** The adjusters of a mount, either way from the middle. */
function travelsOf({ adjust = {}, turning = {} }: Mount): Travel[] {
  const { height = 0, lateral = 0, depth = 0 } = adjust
  const both = (adjusters: Adjuster[], by: number, perTurn?: number): Travel[] =>
    by > 0
      ? adjusters.map(adjuster => ({ adjuster, least: -by, most: by, ...(perTurn !== undefined && { perTurn }) }))
      : []
  return [
    ...both(turning.span === undefined ? ['height'] : ['height-left', 'height-right'], height, turning.heightPerTurn),
    ...both(['lateral'], lateral),
    ...both(
      ['depth-top-left', 'depth-top-right', 'depth-bottom-left', 'depth-bottom-right'],
      turning.depthSpan ? depth : 0,
      turning.depthPerTurn,
    ),
  ]
}

/** Travel that is left once an adjuster stands so far from its middle, mm. */
const left = (travel: Travel, stands: number): Travel => ({
  ...travel,
  least: travel.least - stands,
  most: travel.most - stands,
})

/**
 * The screens of an array with the travel that each adjuster has left: a plate that was put aside or up is taken back
 * by its slide and height screws, and what was turned since is used up too.
 *
 * @param turned by screen and adjuster, mm, how far each was moved in all
 */
export function trueScreens(
  array: ScreenArray,
  { positions }: Pick<ArrayPlan, 'positions'>,
  catalogue: Catalogue,
  turned: Map<string, number>,
): TrueScreen[] {
  const modelOf = mountModels(array, catalogue)
  const thickOf = (model: string) => {
    const thick = catalogue.displays.find(({ id }) => id === model)?.depth
    return thick === undefined ? {} : { thick }
  }
  return positions.flatMap((position): TrueScreen[] => {
    const mount = modelOf(position)
    if (!mount) return []
    const name = nameOf(position)
    const byPlan = (adjuster: Adjuster) =>
      adjuster === 'lateral'
        ? -(position.plate?.lateralShift ?? 0)
        : adjuster.startsWith('height')
          ? -(position.plate?.heightShift ?? 0)
          : 0
    return [
      {
        name,
        id: position.id,
        row: position.row,
        column: position.column,
        width: position.outer.width,
        height: position.outer.height,
        ...(mount.turning?.span !== undefined && { span: mount.turning.span }),
        ...(mount.turning?.depthSpan && { depthSpan: mount.turning.depthSpan }),
        ...thickOf(position.model),
        depth: mount.adjust?.depth ?? 0,
        roll: (mount.adjust?.roll ?? 0) * RAD,
        travels: travelsOf(mount).map(travel =>
          left(travel, byPlan(travel.adjuster) + (turned.get(`${name} ${travel.adjuster}`) ?? 0)),
        ),
      },
    ]
  })
}

/**
 * How far each adjuster goes, mm, of those that were calculated: the fourth depth screw as the other three say, as all
 * four stay in one plane.
 */
export const movedBy = (moved: Map<string, number>) => (screen: string, adjuster: Adjuster): number => {
  const at = (of: Adjuster) => moved.get(`${screen} ${of}`) ?? 0
  return adjuster === 'depth-bottom-right'
    ? at('depth-top-right') + at('depth-bottom-left') - at('depth-top-left')
    : at(adjuster)
}
