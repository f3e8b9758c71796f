import type { RuleLevel } from '~~/core/rules'

/** Who chose a house rule, as the screen says it. */
export const CHOSEN_BY: Record<RuleLevel | 'default', string> = {
  default: 'default',
  firm: 'set by the firm',
  site: 'set for this site',
  wall: 'set for this wall',
}

/** What a level without a choice of its own goes by. */
export const AS_ABOVE: Record<RuleLevel, string> = { firm: 'Use default', site: 'Use firm rule', wall: 'Use site rule' }
