/** Millimetres in one inch, exact by definition (international inch, 1959). */
export const MM_PER_INCH = 25.4
export const INCHES_PER_FOOT = 12

/** The two systems a length is typed and shown in; inside, every length is in millimetres. */
export type UnitSystem = 'metric' | 'imperial'

/** How finely a length is shown: decimals of a millimetre, or parts of an inch. */
export interface Precision {
  decimals?: 0 | 1
  denominator?: 16 | 32
}

/** Guards half-way values against the last bit of a double; far below anything that can be marked. */
const HALF_UP = 0.5 + 1e-9

/** The whole number of `step`s (mm) nearest to a length's size, halves going up. */
function stepsIn(mm: number, step: number): number {
  return Math.floor(Math.abs(mm) / step + HALF_UP)
}

/** The step, in mm, that a length is rounded to when shown. */
export function stepOf(system: UnitSystem, precision: Precision = {}): number {
  return system === 'metric' ? 10 ** -(precision.decimals ?? 0) : MM_PER_INCH / (precision.denominator ?? 16)
}

/** A length as the unit shows it, in mm: rounded once from the exact value, halves away from zero. */
export function roundLength(mm: number, system: UnitSystem, precision: Precision = {}): number {
  return Math.sign(mm) * stepsIn(mm, stepOf(system, precision)) * stepOf(system, precision)
}

function feetAndInches(steps: number, denominator: number): string {
  const perFoot = INCHES_PER_FOOT * denominator
  const feet = Math.floor(steps / perFoot)
  const whole = Math.floor((steps % perFoot) / denominator)
  let numerator = steps % denominator
  let parts = denominator
  while (numerator > 0 && numerator % 2 === 0) [numerator, parts] = [numerator / 2, parts / 2]
  const fraction = numerator > 0 ? `${numerator}/${parts}` : ''
  // Feet are always followed by whole inches: 9' 11/16" has been read an inch wrong.
  const inches = [whole > 0 || feet > 0 || fraction === '' ? String(whole) : '', fraction].filter(Boolean).join(' ')
  return feet > 0 ? `${feet}' ${inches}"` : `${inches}"`
}

/**
 * Shows a length, rounded half up once from the exact value: whole or tenths of a millimetre
 * (without the unit), or feet and inches to the nearest 1/16 or 1/32 with the fraction reduced.
 *
 * @example
 * formatLength(1830, 'imperial') // `6' 0 1/16"`
 * formatLength(1099.3, 'metric') // '1099'
 */
export function formatLength(mm: number, system: UnitSystem, precision: Precision = {}): string {
  const steps = stepsIn(mm, stepOf(system, precision))
  const sign = mm < 0 && steps > 0 ? '−' : ''
  if (system === 'imperial') return sign + feetAndInches(steps, precision.denominator ?? 16)
  const decimals = precision.decimals ?? 0
  return sign + (steps / 10 ** decimals).toFixed(decimals)
}
