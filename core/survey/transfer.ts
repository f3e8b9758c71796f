import type { Finding } from '../finding'
import type { Evidence, Reference, Wall } from '../job'
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
  return figure([{ label: 'Carried over from the far side', expression: words`${front} + (${back} − ${x})`, value: carryOver({ id: '', front, back }, x), unit: 'mm' }])
}

/** One σ of what all readings carried over by one reference share: it was seen once from either side, mm. */
export const CARRIED_SIGMA = Math.SQRT2 * ERROR_MODEL.seen

/** The reference that a reading of the far side goes by: the one named, or the only one there is. */
export function referenceOf(reading: Evidence, references: Reference[] = []): Reference | undefined {
  if (reading.reference !== undefined) return references.find(({ id }) => id === reading.reference)
  return references.length === 1 ? references[0] : undefined
}

/** Cautions of references that contradict each other by more than 3σ, and of readings that none carries over. */
export function transferFindings(wall: Wall): Finding[] {
  const references = wall.references ?? []
  const limit = 3 * Math.SQRT2 * CARRIED_SIGMA
  const disagreeing = references.flatMap((a, index) => references.slice(index + 1).flatMap((b): Finding[] => {
    const apart = Math.abs(a.front + a.back - b.front - b.back)
    if (apart <= limit) return []
    return [{
      severity: 'caution', code: 'references-disagree', stage: 'survey', subject: b.id,
      message: words`The references ${a.id} and ${b.id} carry a position over ${apart} apart; up to ${limit} is how well they can be read.`,
      remedy: words`Read both again from either side.`,
    }]
  }))
  const stranded = (wall.evidence ?? []).filter(reading => reading.side === 'back' && !referenceOf(reading, references))
  return [
    ...disagreeing,
    ...stranded.map((reading): Finding => ({
      severity: 'caution', code: 'reading-not-carried', stage: 'survey', subject: reading.id,
      message: words`The reading at ${reading.x} on the far side names no reference, so it cannot be carried over.`,
      remedy: words`Choose a jamb, window edge or through hole that was seen from both sides.`,
    })),
  ]
}
