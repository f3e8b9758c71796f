import type { Job, Rules, Wall } from '../job'

/** Who can choose: the firm for all its sites, a site for its walls, and a wall for itself. */
export type RuleLevel = 'firm' | 'site' | 'wall'

/** What was chosen at each level. */
export type RuleLevels = Record<RuleLevel, Rules>

export const levelsOf = ({ firm, rules }: Pick<Job, 'firm' | 'rules'>, wall?: Pick<Wall, 'rules'>): RuleLevels => ({
  firm: firm?.rules ?? {},
  site: rules,
  wall: wall?.rules ?? {},
})

/** The rules that hold: what the wall chose before what its site chose, and that before what the firm chose. */
export const effectiveRules = ({ firm, site, wall }: RuleLevels): Rules => ({ ...firm, ...site, ...wall })

/** The rules by which a wall is planned, or those of its site for all. */
export const rulesFor = (job: Pick<Job, 'firm' | 'rules'>, wall?: Pick<Wall, 'rules'>): Rules =>
  effectiveRules(levelsOf(job, wall))

/** At which level a rule was chosen; undefined where nobody chose and the default holds. */
export function levelOfRule(key: keyof Rules, levels: RuleLevels): RuleLevel | undefined {
  return (['wall', 'site', 'firm'] as const).find(level => levels[level][key] !== undefined)
}
