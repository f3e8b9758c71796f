import type { Rules } from '../job'

/** A house rule that is a length: what it says, and what holds until somebody has chosen, mm. */
export interface RuleFigure { key: 'markingSigma' | 'clearAboveFurniture' | 'fixedHeight', title: string, why: string, otherwise: number }

/** Every house rule that is a length. */
export const RULE_FIGURES: RuleFigure[] = [
  { key: 'clearAboveFurniture', title: 'Clear above furniture, for a new array that goes by it', why: 'From the top of the counter or furniture to the foot of the lowest display.', otherwise: 150 },
  { key: 'fixedHeight', title: 'Fixed height of the middle of a new array', why: 'From the finished floor.', otherwise: 1500 },
  { key: 'markingSigma', title: 'One σ of a single tape measurement', why: 'Two marks in three lie within it of their true place. Sheets state how true a mark is by it.', otherwise: 1 },
]

/** A length that was chosen, or what holds until somebody has, mm. */
export const chosenFigure = (key: RuleFigure['key'], rules: Rules): number => rules[key] ?? RULE_FIGURES.find(figure => figure.key === key)!.otherwise
