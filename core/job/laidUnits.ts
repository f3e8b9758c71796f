import { structureKindOf } from './structures'
import type { Structure } from './wall'

/** The units of a wall: size, joint, bond, and what they are. */
export type Units = NonNullable<Structure['block'] | Structure['brick']>

/**
 * The units that a wall is laid of, blocks or bricks; undefined where it is laid of none, or where they are not known.
 *
 * @example
 * unitsOf({ kind: 'concrete', thickness: 200 }) // undefined
 */
export function unitsOf(structure: Structure): Units | undefined {
  const { units } = structureKindOf(structure)
  return units && structure[units]
}

/** Units of which only the shell or web nearest to the face is there to hold an anchor. */
const OPEN = new Set<Units['unit']>(['hollow', 'perforated'])
export const isOpenUnit = (units: Units | undefined): boolean => OPEN.has(units?.unit)
