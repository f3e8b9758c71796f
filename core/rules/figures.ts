import type { Rules } from '../job'
import type { UnitSystem } from '../units'

/** A house rule that is a length: what it says, and what holds until somebody has chosen, mm, round in the unit of the site. */
export interface RuleFigure { key: 'markingSigma' | 'clearAboveFurniture' | 'fixedHeight' | 'powerSignalApart' | 'seamTolerance' | 'drillWander' | 'plateSlack', title: string, why: string, otherwise: Record<UnitSystem, number> }

/** Every house rule that is a length. */
export const RULE_FIGURES: RuleFigure[] = [
  { key: 'clearAboveFurniture', title: 'Clear above furniture, for a new array that goes by it', why: 'From the top of the counter or furniture to the foot of the lowest display.', otherwise: { metric: 150, imperial: 152.4 } },
  { key: 'fixedHeight', title: 'Fixed height of the middle of a new array', why: 'From the finished floor.', otherwise: { metric: 1500, imperial: 1524 } },
  { key: 'powerSignalApart', title: 'Signal stays from power, where both lie in one bay', why: 'Fixed so with clips; the rule has 50 mm at the least (NEC 725.136).', otherwise: { metric: 50, imperial: 50.8 } },
  { key: 'seamTolerance', title: 'A seam is closed within, either way', why: 'Off its gap, and face against face, when the wall is trued; what the client is promised.', otherwise: { metric: 0.3, imperial: 0.3 } },
  { key: 'drillWander', title: 'One σ of a drill off its mark', why: 'A bit walks as it starts; a centre punch or a guide lessens it. The study of tolerances goes by it.', otherwise: { metric: 1, imperial: 1 } },
  { key: 'plateSlack', title: 'A plate lies loose about its screws, in all', why: 'Slot less screw: where in it a plate is drawn tight is chance, unless it is set by its mark.', otherwise: { metric: 1, imperial: 1 } },
  { key: 'markingSigma', title: 'One σ of a single tape measurement', why: 'Two marks in three lie within it of their true place. Sheets state how true a mark is by it.', otherwise: { metric: 1, imperial: 1 } },
]

/** A length that was chosen, or what holds until somebody has, mm. */
export const chosenFigure = (key: RuleFigure['key'], rules: Rules, units: UnitSystem): number => rules[key] ?? RULE_FIGURES.find(figure => figure.key === key)!.otherwise[units]
