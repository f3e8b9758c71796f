import type { Evidence, Reference } from '../job'
import { figure, words, type Figure } from '../units'
import { ERROR_MODEL } from './errorModel'

/**
 * A position read on the far side as it lies on the front, mm: mirrored about a reference that was
 * seen from both sides, x = front + (back − x read).
 *
 * @example
 * carryOver({ id: 'jamb', front: 5400, back: 760 }, 2409) // 3751
 */
export function carryOver({ front, back }: Reference, x: number): number {
  return front + (back - x)
}

/** The same with its working. */
export function carriedFigure({ front, back }: Reference, x: number): Figure {
  return figure([
    {
      label: 'Transferred from the rear',
      expression: words`${front} + (${back} − ${x})`,
      value: carryOver({ id: '', front, back }, x),
      unit: 'mm',
    },
  ])
}

/** One σ of what all readings carried over by one reference share: it was seen once from either side, mm. */
export const CARRIED_SIGMA = Math.SQRT2 * ERROR_MODEL.seen

/** The reference that a reading of the far side goes by: the one named, or the only one there is. */
export function referenceOf(reading: Evidence, references: Reference[] = []): Reference | undefined {
  if (reading.reference !== undefined) return references.find(({ id }) => id === reading.reference)
  return references.length === 1 ? references[0] : undefined
}
