import type { Point, Rect } from '../../geometry'
import { featureParts, itemName, type Feature, type Wall } from '../../job'
import { HAZARD_CLEARANCE, HAZARDS, plateHoles, type ArrayPlan } from '../../mount'
import type { Obstacle } from './place'
import type { Screen } from '../screens'
import { screenLabel } from '../../job/screenLabel'

/** A cut-out keeps so far clear of plates, brackets and features, mm. */
export const CLEAR = 10
/** Blocking between studs is as high as a stud is thick, mm. */
const BLOCKING = 38
export const FURNITURE = new Set(['counter', 'furniture'])

export const around = ({ x, y, width, height }: Rect, by: number): Rect => ({
  x: x - by,
  y: y - by,
  width: width + 2 * by,
  height: height + 2 * by,
})
const about = ({ x, y }: { x: number, y: number }, width: number, height: number): Rect => ({
  x: x - width / 2,
  y: y - height / 2,
  width,
  height,
})

/**
 * What of a screen's mount a box behind it keeps clear of: its plate, the bracket on the display's pattern, and what
 * moves as it closes.
 */
function mountObstacles({ plate, pattern, shown, mounting, orientation, row, column }: Screen): Obstacle[] {
  const name = screenLabel({ row, column })
  const { width, height } = shown?.vesa ?? { width: 0, height: 0 }
  const sideways = orientation === 'portrait-cw' || orientation === 'portrait-ccw'
  const [wide, high] = sideways ? [height, width] : [width, height]
  const kept = (rect: Rect, what: string) => ({ ...around(rect, CLEAR), name: `the ${what} ${name}` })
  const found: Obstacle[] = []
  if (plate) found.push(kept(plate.rect, 'plate of'))
  if (mounting && wide > 0) found.push(kept(about(pattern, wide, high), 'bracket of'))
  if (plate && mounting?.sweep)
    found.push(kept(about(plate.centre, mounting.sweep.width, mounting.sweep.height), 'moving parts behind'))
  return found
}

/** So far a cut keeps from what must not be drilled, and so far from anything else that is on or in the wall. */
const clearOf = ({ kind }: Feature) => kind in HAZARDS ? HAZARD_CLEARANCE : CLEAR
/** What only lies before the wall, or is seen on it. */
const BEFORE = new Set([...FURNITURE, 'ceiling-line', 'building-line'])

/**
 * Where nothing is cut or bored, as something of the wall is there: live cables, pipes and rated junctions with what
 * they keep clear.
 */
export const keptFrom = ({ features = [] }: Pick<Wall, 'features'>): (Rect & { name: string, hazard: boolean })[] =>
  features
    .filter(({ kind }) => !BEFORE.has(kind))
    .flatMap(feature => featureParts(feature).map(part => ({
      ...around(part, clearOf(feature)),
      name: nameOfFeature(feature),
      hazard: feature.kind in HAZARDS,
    })))

export const nameOfFeature = (feature: Feature) => `the ${feature.kind.replaceAll('-', ' ')} ${itemName(feature)}`

/** An opening in a board keeps so far from every fastener in it, mm. */
export const BESIDE_FASTENER = 50

/** Rails are not cut; a board is, away from what holds it and what it holds. */
function carrierObstacles({ strips, positions }: ArrayPlan): Obstacle[] {
  const rails = strips.filter(({ of }) => of !== 'board')
    .map(({ rect }) => ({ ...around(rect, CLEAR), name: 'a rail' }))
  const isOnBoard = strips.some(({ of }) => of === 'board')
  const held = isOnBoard
    ? positions.flatMap(position => [...plateHoles(position), ...position.bolts ?? []])
    : []
  const anchors = positions.flatMap(({ holes = [] }) => holes.filter(({ secures }) => secures))
  const besides = (places: Point[], name: string) => places.map(({ x, y }) =>
    ({ ...around({ x, y, width: 0, height: 0 }, BESIDE_FASTENER), name }))
  return [...rails, ...besides(held, 'a fastener of the board'), ...besides(anchors, 'the anchor of a safety wire')]
}

/** Everything on and in a wall that a cut-out keeps clear of. */
export function obstaclesOf(wall: Wall, arrays: ArrayPlan[], screens: Screen[]): Obstacle[] {
  return [
    ...arrays.flatMap(carrierObstacles),
    ...screens.flatMap(mountObstacles),
    ...keptFrom(wall),
    ...(wall.blocking ?? [])
      .filter(({ found }) => found)
      .map(({ id, number, y, x1 = 0, x2 = wall.width }) => ({
        x: x1,
        y: y - BLOCKING / 2 - CLEAR,
        width: x2 - x1,
        height: BLOCKING + 2 * CLEAR,
        name: `blocking ${itemName({ id, number })}`,
      })),
  ]
}
