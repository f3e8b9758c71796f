import { same, type Rules } from '../job'
import type { UnitSystem } from '../units'
import { chosenFigure, RULE_FIGURES } from './figures'
import { effectiveRules, type RuleLevels } from './levels'
import { chosenOption, HOUSE_RULES } from './table'

/** What holds by rules, defaults included where nobody chose. */
const holding = (rules: Rules, units: UnitSystem): Record<string, unknown> => ({
  ...rules,
  ...Object.fromEntries(HOUSE_RULES.map(rule => [rule.key, chosenOption(rule, rules).value])),
  ...Object.fromEntries(RULE_FIGURES.map(({ key }) => [key, chosenFigure(key, rules, units)])),
})

/**
 * Rules by which a wall is planned otherwise once one level chooses something else; none where the wall or its site has
 * chosen for itself, or where what is chosen held already.
 */
export function touchedRules(levels: RuleLevels, level: 'firm' | 'site', next: Rules, units: UnitSystem): string[] {
  const [before, after] = [
    holding(effectiveRules(levels), units),
    holding(effectiveRules({ ...levels, [level]: next }), units),
  ]
  return [...new Set([...Object.keys(before), ...Object.keys(after)])]
    .filter(key => !same(before[key], after[key]))
    .sort()
}
