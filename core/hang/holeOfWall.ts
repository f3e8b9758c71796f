import { screenId } from '../arrange'
import type { Wall } from '../job'

/**
 * Whether a hole's id is one that a plan of this wall gives, in any of its alternatives: holes are named after their
 * screens.
 */
export function isHoleOf({ arrays }: Wall, hole: string): boolean {
  return arrays.some((array) => {
    for (let row = 1; row <= array.rows; row++) {
      for (let column = 1; column <= array.columns; column++)
        if (hole.startsWith(`${screenId(array, row, column)}-`)) return true
    }
    return false
  })
}
