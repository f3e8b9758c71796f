import type { Rules } from '../job'
import { roundLength, toleranceToString, type Precision, type UnitSystem } from '../units'
import { fromPrintedLevel, rowsOf, type Mark } from './marks'

/** What rounding and the way of measuring do to a set of marks, mm. */
export interface Accuracy {
  /**
   * Largest difference between where a printed figure puts a mark and where it should be; for heights off the level
   * line its own rounding included.
   */
  rounding: number
  /** One σ of any mark when every figure is run from the datum. */
  running: number
  /** One σ of the last mark of the longest row, were each measured from the one before: σ·√k. */
  markToMark: number
  /** How many marks that row has: k. */
  inRow: number
}

/** States how true the printed figures are, and what measuring from mark to mark would add. */
export function accuracyOf(marks: Mark[], units: UnitSystem, precision: Precision, sigma: number): Accuracy {
  const printed = (mm: number) => roundLength(mm, units, precision)
  const errors = marks.flatMap((mark) => {
    const { running, height, fromLevel } = mark
    const off = fromPrintedLevel(mark, units, precision)
    return [
      ...[running, height].flatMap(mm => (mm === undefined ? [] : [printed(mm) - mm])),
      ...(off === undefined || height === undefined || fromLevel === undefined
        ? []
        : [printed(height - fromLevel) + printed(off) - height]),
    ]
  })
  const rounding = errors.reduce((worst, error) => Math.max(worst, Math.abs(error)), 0)
  const inRow = rowsOf(marks).reduce((most, row) => Math.max(most, row.marks.length), 0)
  return { rounding, running: sigma, markToMark: sigma * Math.sqrt(inRow), inRow }
}

/** How true marks are by the way of measuring that the house rules name, and what the other way would give. */
export function howTrue(
  { running, markToMark, inRow }: Accuracy,
  { measuring = 'running' }: Rules,
  system: UnitSystem,
): string {
  const [each, last] = [toleranceToString(running, system), toleranceToString(markToMark, system)]
  return measuring === 'running'
    ? `Marks are accurate to ± ${each} (one standard deviation); measured mark to mark, `
    + `the last of ${inRow}: ± ${last}.`
    : `Measured mark to mark, the last of ${inRow} is accurate to ± ${last} (one standard deviation); `
      + `from one datum, each: ± ${each}.`
}
