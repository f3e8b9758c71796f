import type { Display } from './display'
import type { Mount } from './mount'
import type { ScreenArray } from './screenArray'
import { isSheet, type Base } from './structures'
import type { Layer, Wall } from './wall'

/** Whether a layer is a sheet of wood or steel that carries what is fixed to it. */
export const isBacking = ({ material, backing }: Layer): boolean => backing === true && isSheet(material)

/** Whether plates can hang on a sheet of a wall, wherever its studs are. */
export const hasBacking = ({ covering }: Pick<Wall, 'covering'>): boolean => covering.some(isBacking)

/** What fasteners can go into in a wall: its structure, and sheets that carry. */
export const basesOf = ({ structure, covering }: Pick<Wall, 'structure' | 'covering'>): Base[] =>
  [structure.kind, ...covering.filter(isBacking).map(({ material }) => material as Base)]

/**
 * How far a plate on the covering stands off a wall's base, mm: every layer that does not carry. A sheet that is fixed
 * to the structure does; of furring it is not known whether a strip is under the plate.
 */
export function standOffOf({ covering }: Pick<Wall, 'covering'>): number {
  return covering.filter(layer => !isBacking(layer))
    .reduce((sum, { thickness }) => sum + thickness, 0)
}

/** Whether a board lies over a hollow: over battens, or a void. */
export const isHollow = ({ covering }: Pick<Wall, 'covering'>): boolean =>
  covering.some(({ material }, n) => (material === 'furring' || material === 'void') && n < covering.length - 1)

/** How thick all that lies before the structure is, mm. */
export function coveringOf({ covering }: Pick<Wall, 'covering'>): number {
  return covering.reduce((sum, { thickness }) => sum + thickness, 0)
}

/** A wall where its covering is cut away: what is fixed to the structure and carries stays. */
export const uncovered = (wall: Wall): Wall => ({ ...wall, covering: wall.covering.filter(({ backing }) => backing) })

/** How far a row of slots is above the plate's centre, mm. */
export function heightOfRow({ plate }: Pick<Mount, 'plate'>, row: string): number {
  return plate.slots.find(slot => slot.row === row)?.y ?? 0
}

/**
 * How far a display's back stands off the wall's face, mm, with its mount pushed home or pulled out, and whatever rail
 * or board that stands on.
 */
export function backDepth(
  { carrier }: Pick<ScreenArray, 'carrier'>,
  { depth }: Pick<Mount, 'depth'>,
  at: 'stowed' | 'service' = 'stowed',
): number {
  return depth[at] + (carrier?.thickness ?? 0)
}

/** How far a display's face stands out of the wall's, mm: the one sum by which all that stands out is judged. */
export function faceDepth(
  array: Pick<ScreenArray, 'carrier'>,
  mount: Pick<Mount, 'depth'>,
  display: Pick<Display, 'depth'>,
  at: 'stowed' | 'service' = 'stowed',
): number {
  return backDepth(array, mount, at) + display.depth
}

/** The arrays of a wall that are planned: those of the alternative that it shows, and those of no alternative. */
export function arraysOf({ arrays, alternative: shown }: Pick<Wall, 'arrays' | 'alternative'>): ScreenArray[] {
  const isPlanned = ({ alternative }: ScreenArray) => alternative === undefined || alternative === shown
  return arrays.every(isPlanned) ? arrays : arrays.filter(isPlanned)
}
