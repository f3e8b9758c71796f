import type { Rect } from '../../geometry'
import type { ArrayPlan } from '../position'

/** Where the plates and holes of an array are, and nothing else of its plan: what follows a hand that drags it. */
export interface Placed { id: string, plates: { rect: Rect, held: boolean, holes: { x: number, y: number }[] }[] }

/** The plates and holes of planned arrays. */
export function placedOf(arrays: Pick<ArrayPlan, 'id' | 'positions'>[]): Placed[] {
  return arrays.map(({ id, positions }) => ({
    id,
    plates: positions.flatMap(({ plate, holes = [] }) =>
      plate ? [{ rect: plate.rect, held: plate.held, holes: holes.map(({ x, y }) => ({ x, y })) }] : [],
    ),
  }))
}
