import type { RuleLevel } from '~~/core/rules'

/** Who chose a house rule, as the screen says it. */
export const CHOSEN_BY: Record<RuleLevel | 'default', string> = { default: 'the usual, as nobody chose', firm: 'chosen by the firm', site: 'chosen for this site', wall: 'chosen for this wall' }

/** What a level without a choice of its own goes by. */
export const AS_ABOVE: Record<RuleLevel, string> = { firm: 'As is usual', site: 'As the firm has it', wall: 'As the site has it' }
