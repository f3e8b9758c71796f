import type { Mount, Wall } from './types'

/** How thick all that lies before the structure is, mm. */
export function coveringOf({ covering }: Pick<Wall, 'covering'>): number {
  return covering.reduce((sum, { thickness }) => sum + thickness, 0)
}

/** How far a row of slots is above the plate's centre, mm. */
export function heightOfRow({ plate }: Pick<Mount, 'plate'>, row: string): number {
  return plate.slots.find(slot => slot.row === row)?.y ?? 0
}
