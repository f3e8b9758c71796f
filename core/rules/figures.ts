import type { Rules } from '../job'
import type { UnitSystem } from '../units'

/**
 * A house rule that is a length: what it says, and what holds until a person has chosen, mm, round in the unit of the
 * site.
 */
export interface RuleFigure { key: 'markingSigma' | 'clearAboveFurniture' | 'fixedHeight' | 'powerSignalApart' | 'seamTolerance' | 'drillWander' | 'plateSlack', title: string, why: string, otherwise: Record<UnitSystem, number> }

/** Every house rule that is a length. */
export const RULE_FIGURES: RuleFigure[] = [
  { key: 'clearAboveFurniture', title: 'Clearance above furniture for a new array', why: 'From the top of the counter or furniture to the bottom edge of the lowest display.', otherwise: { metric: 150, imperial: 152.4 } },
  { key: 'fixedHeight', title: 'Fixed centre height of a new array', why: 'Above the finished floor.', otherwise: { metric: 1500, imperial: 1524 } },
  { key: 'powerSignalApart', title: 'Distance between signal and power in one stud bay', why: 'Kept by clips; NEC 725.136 requires at least 50 mm.', otherwise: { metric: 50, imperial: 50.8 } },
  { key: 'seamTolerance', title: 'Seam tolerance (±)', why: 'Deviation of gaps and steps allowed after truing; this is what the client is promised.', otherwise: { metric: 0.3, imperial: 0.3 } },
  { key: 'drillWander', title: 'Standard deviation of a hole from its mark', why: 'A bit walks as it starts; a centre punch or a guide reduces this. The tolerance study uses this figure.', otherwise: { metric: 1, imperial: 1 } },
  { key: 'plateSlack', title: 'Total play of a plate around its screws', why: 'Slot size minus screw diameter: the plate can be tightened anywhere within it, unless it is set to its mark.', otherwise: { metric: 1, imperial: 1 } },
  { key: 'markingSigma', title: 'Standard deviation of one tape measurement', why: 'Two marks in three are within this distance of their true position. Sheets state the accuracy of marks from it.', otherwise: { metric: 1, imperial: 1 } },
]

/** A length that was chosen, or what holds until a person has, mm. */
export const chosenFigure = (key: RuleFigure['key'], rules: Rules, units: UnitSystem): number => rules[key] ?? RULE_FIGURES.find(figure => figure.key === key)!.otherwise[units]
