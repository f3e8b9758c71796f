import { handoverOf } from '../close'
import { align } from '../true'

/**
 * The stages that are worked out only where they are asked for, from a plan and the whole log: the turns of a large
 * wall take a second, and no mark rests on either.
 */
export const ON_DEMAND = {
  /** The turns that bring the seams of an array to their target, from its last readings. */
  true: align,
  /** What a handover shows: as built against plan, checks, what is missing. */
  close: handoverOf,
}
