import type { AsBuilt, IssuedPlate } from '../log'
import type { MountedCell } from '../mount'
import { PROGRAM } from '../program'
import type { LaidOut } from './arrays'

/** An array as it was laid out, with its plates and holes. */
export interface Standing { laidOut: LaidOut, cells: MountedCell[] }

const plateOf = ({ id, plate, holes }: MountedCell): IssuedPlate =>
  ({ screen: id, centre: plate.centre, holes: holes.map(({ id, row, x, y }) => ({ id, row, x, y })) })

/**
 * What stands on a wall that was drilled and of which no frozen revision is at hand: its marks are where it was planned
 * before anything was drilled, and stay there, as if that had been issued.
 */
export function asFirstPlanned(built: AsBuilt, first: Standing[]): AsBuilt {
  const arrays = first.map(({ laidOut: { array, placing }, cells }) =>
    ({ array, shift: placing.shift, plates: cells.map(plateOf) }))
  return { ...built, issued: { revision: '', id: '', program: PROGRAM, arrays } }
}

/** Whether a wall is drilled without a frozen revision. */
export const isDrilledUnissued = ({ holes, issued }: AsBuilt): boolean => holes.length > 0 && !issued
