import { roundLength, type Precision, type UnitSystem } from '../units'
import { rowsOf, type Mark } from './marks'

/** What rounding and the way of measuring do to a set of marks, mm. */
export interface Accuracy {
  /** Largest difference between a printed figure and the exact one. */
  rounding: number
  /** One σ of any mark when every figure is run from the datum. */
  running: number
  /** One σ of the last mark of the longest row, were each measured from the one before: σ·√k. */
  markToMark: number
  /** How many marks that row has: k. */
  inRow: number
}

/** One σ of a single tape measurement where the house rules name none, mm. */
export const DEFAULT_MARKING_SIGMA = 1

/** States how true the printed figures are, and what measuring from mark to mark would add. */
export function accuracyOf(marks: Mark[], units: UnitSystem, precision: Precision, sigma = DEFAULT_MARKING_SIGMA): Accuracy {
  const figures = marks.flatMap(({ running, height, fromLevel }) => [running, height, fromLevel]).filter(mm => mm !== undefined)
  const rounding = figures.reduce((worst, mm) => Math.max(worst, Math.abs(roundLength(mm, units, precision) - mm)), 0)
  const inRow = rowsOf(marks).reduce((most, row) => Math.max(most, row.marks.length), 0)
  return { rounding, running: sigma, markToMark: sigma * Math.sqrt(inRow), inRow }
}
