/** Millimetres in one inch, exact by definition (international inch, 1959). */
export const MM_PER_INCH = 25.4
const INCHES_PER_FOOT = 12

/** The two systems a length is typed and shown in; inside, every length is in millimetres. */
export type UnitSystem = 'metric' | 'imperial'

/** How finely a length is shown: decimals of a millimetre, or parts of an inch. */
export interface Precision {
  decimals?: 0 | 1
  denominator?: 16 | 32
}

/** What a typed length was read as, or what is wrong with it, in words. */
export type Reading = { ok: true, mm: number } | { ok: false, message: string }

const VULGAR: Record<string, string> = {
  '½': '1/2', '¼': '1/4', '¾': '3/4', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8',
}

const MM_PER_UNIT: Record<string, number> = { mm: 1, cm: 10, m: 1000 }

const METRIC = /^([+-]?)(\d+\.?\d*|\.\d+)\s*(mm|cm|m)?$/
const IMPERIAL = /^([+-]?)(?:(\d+\.?\d*|\.\d+)\s*(?:'|ft|feet|foot))?[\s-]*(?:(\d+\.?\d*|\.\d+)(?![\d/]))?[\s-]*(?:(\d+)\/(\d+))?\s*("|in|inch|inches)?$/
/** `1,830` may be a decimal comma or a thousands separator: a factor of a thousand apart. */
const AMBIGUOUS_COMMA = /^[+-]?[1-9]\d{0,2},\d{3}(?!\d)\s*(?:mm|cm|in|inch|inches|")?$/

const EXPECTED = {
  metric: 'enter a length such as 1830, 183 cm, 1.83 m or 6\' 0 1/16"',
  imperial: 'enter a length such as 72 1/16, 6\' 0 1/16", 72.0625 in or 1830 mm',
}

function plain(text: string): string {
  return text
    .replace(/[⁄∕]/g, '/')
    .replace(/[½¼¾⅛⅜⅝⅞]/g, fraction => ` ${VULGAR[fraction]}`)
    .replace(/[′’‘]/g, '\'')
    .replace(/[″”“]|''/g, '"')
    .replace(/[−–]/g, '-')
    .trim()
    .toLowerCase()
}

/**
 * Reads a length as people type it: `1830`, `1.83 m`, `6' 0 1/16"`, `72 1/16"`, `½"`.
 *
 * A bare number is in `system`'s own unit: millimetres, or inches. Decimal commas and points are
 * both read. Anything doubtful is refused with a message that says what was expected.
 *
 * @returns the length in mm, exact to the double, or the fault in words
 * @example
 * parseLength('6\' 0 1/16"', 'metric') // { ok: true, mm: 1830.3875 }
 */
export function parseLength(text: string, system: UnitSystem): Reading {
  const fail = (why: string): Reading => ({ ok: false, message: `${why}: ${EXPECTED[system]}` })
  const typed = plain(text)
  if (typed === '') return fail('Nothing is entered')
  if (AMBIGUOUS_COMMA.test(typed)) return fail(`“${text.trim()}” could have a decimal comma or a thousands comma, so leave the comma out or change the number of decimals`)
  const decimal = typed.replace(',', '.')

  const metric = METRIC.exec(decimal)
  if (metric) {
    const [, sign, digits, unit] = metric
    const mmPerUnit = unit ? MM_PER_UNIT[unit]! : system === 'metric' ? 1 : MM_PER_INCH
    return { ok: true, mm: (sign === '-' ? -1 : 1) * Number(digits) * mmPerUnit }
  }

  const imperial = IMPERIAL.exec(decimal)
  if (!imperial) return fail(`“${text.trim()}” is not a length`)
  const [, sign, feet, inches, numerator, denominator, mark] = imperial
  if (feet === undefined && inches === undefined && numerator === undefined) return fail(`“${text.trim()}” is not a length`)
  if (feet === undefined && mark === undefined && system === 'metric') return fail(`“${text.trim()}” has no unit`)
  if (denominator !== undefined && Number(denominator) === 0) return fail('A fraction cannot be divided by 0')
  const fraction = numerator === undefined ? 0 : Number(numerator) / Number(denominator)
  if (inches !== undefined && fraction >= 1) return fail('The fraction after whole inches must be less than 1')
  if (inches !== undefined && numerator !== undefined && inches.includes('.')) return fail('Enter decimal inches or a fraction, not both')
  const total = Number(inches ?? 0) + fraction
  if (feet !== undefined && total >= INCHES_PER_FOOT) return fail('Inches after feet must be less than 12')
  return { ok: true, mm: (sign === '-' ? -1 : 1) * (Number(feet ?? 0) * INCHES_PER_FOOT + total) * MM_PER_INCH }
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
