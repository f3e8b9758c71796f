import type { Rules } from '../job'
import type { UnitSystem } from '../units'
import { ROUTE_MINUTE_KEYS, ROUTE_MINUTES, type RouteMinuteKey } from './routeMinutes'

/**
 * A house rule that is a length, or a force: what it says, and what holds until a person has chosen, mm or N, round in
 * the unit of the site.
 */
export interface RuleFigure {
  key:
    | 'markingSigma'
    | 'clearAboveFurniture'
    | 'fixedHeight'
    | 'powerSignalApart'
    | 'seamTolerance'
    | 'drillWander'
    | 'plateSlack'
    | 'handForce'
    | 'squareness'
    | 'adjusterSlip'
    | 'gaugeSigma'
    | RouteMinuteKey
  title: string
  why: string
  /** What it is measured in, where it is no length. */
  unit?: 'N' | 'min' | 'min/m'
  otherwise: Record<UnitSystem, number>
}

/** 55 lbf, N. */
const FIFTY_FIVE_POUNDS = 55 * 4.4482216

/** Every house rule that is a figure. */
export const RULE_FIGURES: RuleFigure[] = [
  {
    key: 'clearAboveFurniture',
    title: 'Clearance above furniture for a new array',
    why: 'From the top of the counter or furniture to the bottom edge of the lowest display.',
    otherwise: { metric: 150, imperial: 152.4 },
  },
  {
    key: 'fixedHeight',
    title: 'Fixed centre height of a new array',
    why: 'Above the finished floor.',
    otherwise: { metric: 1500, imperial: 1524 },
  },
  {
    key: 'powerSignalApart',
    title: 'Distance between signal and power in one stud bay',
    why: 'Kept by clips; NEC 725.136 requires at least 50 mm.',
    otherwise: { metric: 50, imperial: 50.8 },
  },
  {
    key: 'seamTolerance',
    title: 'Seam tolerance (±)',
    why: 'Deviation of gaps and steps allowed after truing; this is what the client is promised.',
    otherwise: { metric: 0.3, imperial: 0.3 },
  },
  {
    key: 'drillWander',
    title: 'Standard deviation of a hole from its mark',
    why: 'A bit walks as it starts; a centre punch or a guide reduces this. The tolerance study uses this figure.',
    otherwise: { metric: 1, imperial: 1 },
  },
  {
    key: 'plateSlack',
    title: 'Total play of a plate around its screws',
    why: 'Slot size minus screw diameter: the plate can be tightened anywhere within it, unless it is set to its mark.',
    otherwise: { metric: 1, imperial: 1 },
  },
  {
    key: 'markingSigma',
    title: 'Standard deviation of one tape measurement',
    why: 'Two marks in three are within this distance of their true position. Sheets state the accuracy of marks from '
      + 'it.',
    otherwise: { metric: 1, imperial: 1 },
  },
  {
    key: 'handForce',
    title: 'Force of a hand on a screen',
    why: 'A person pulls at the worst point of the case: down, outwards or sideways. A wall can have its own, with a '
      + 'reason.',
    unit: 'N',
    otherwise: { metric: 250, imperial: FIFTY_FIVE_POUNDS },
  },
  {
    key: 'squareness',
    title: 'Case out of square, and rolled as hung (±)',
    why: 'The tolerance study uses this figure where the data sheet gives no size tolerance.',
    otherwise: { metric: 0.5, imperial: 0.5 },
  },
  {
    key: 'adjusterSlip',
    title: 'Standard deviation by which an adjuster slips back',
    why: 'An adjuster settles as it is let go. The tolerance study uses this figure.',
    otherwise: { metric: 0.1, imperial: 0.1 },
  },
  {
    key: 'gaugeSigma',
    title: 'Standard deviation of a gauge reading',
    why: 'Two readings of one seam differ by it. The tolerance study uses this figure.',
    otherwise: { metric: 0.1, imperial: 0.1 },
  },
  ...ROUTE_MINUTE_KEYS.map((key): RuleFigure => {
    const { title, why, unit, otherwise } = ROUTE_MINUTES[key]
    return { key, title, why, unit, otherwise: { metric: otherwise, imperial: otherwise } }
  }),
]

/** A figure that was chosen, or what holds until a person has, mm or N. */
export const chosenFigure = (key: RuleFigure['key'], rules: Rules, units: UnitSystem): number =>
  rules[key] ?? RULE_FIGURES.find(figure => figure.key === key)!.otherwise[units]
