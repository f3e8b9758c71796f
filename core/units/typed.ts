import { INCHES_PER_FOOT, MM_PER_INCH, type UnitSystem } from './length'

/** What a typed length was read as, or what is wrong with it, in words. */
export type ParsedLength = { ok: true, mm: number } | { ok: false, message: string }

const VULGAR: Record<string, string> = {
  '½': '1/2', '¼': '1/4', '¾': '3/4', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8',
}

const MM_PER_UNIT: Record<string, number> = { mm: 1, cm: 10, m: 1000 }

const METRIC = /^([+-]?)(\d+\.?\d*|\.\d+)\s*(mm|cm|m)?$/
const FEET = /(?:(\d+\.?\d*|\.\d+)\s*(?:'|ft|feet|foot))?/
const INCHES = /(?:(\d+\.?\d*|\.\d+)(?![\d/]))?[\s-]*(?:(\d+)\/(\d+))?\s*("|in|inch|inches)?/
const IMPERIAL = new RegExp(`^([+-]?)${FEET.source}[\\s-]*${INCHES.source}$`)
/** `1,830` may be a decimal comma or a thousands separator: a factor of a thousand apart. */
const AMBIGUOUS_COMMA = /^[+-]?[1-9]\d{0,2},\d{3}(?!\d)\s*(?:mm|cm|in|inch|inches|")?$/

const DOUBTFUL
  = 'could have a decimal comma or a thousands comma, so leave the comma out or change the number of decimals'
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

/** What is wrong with feet, inches and a fraction that were typed; undefined where nothing is. */
function imperialFault(
  { feet, inches, numerator, denominator, mark }: Record<string, string | undefined>, typed: string, system: UnitSystem,
): string | undefined {
  if ([feet, inches, numerator].every(part => part === undefined)) return `“${typed}” is not a length`
  if (feet === undefined && mark === undefined && system === 'metric') return `“${typed}” has no unit`
  if (denominator !== undefined && Number(denominator) === 0) return 'A fraction cannot be divided by 0'
  if (inches !== undefined && fractionOf(numerator, denominator) >= 1)
    return 'The fraction after whole inches must be less than 1'
  if (numerator !== undefined && inches?.includes('.')) return 'Enter decimal inches or a fraction, not both'
  const total = Number(inches ?? 0) + fractionOf(numerator, denominator)
  return feet !== undefined && total >= INCHES_PER_FOOT ? 'Inches after feet must be less than 12' : undefined
}

const fractionOf = (numerator: string | undefined, denominator: string | undefined) =>
  numerator === undefined ? 0 : Number(numerator) / Number(denominator)

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
export function parseLength(text: string, system: UnitSystem): ParsedLength {
  const fail = (why: string): ParsedLength => ({ ok: false, message: `${why}: ${EXPECTED[system]}` })
  const typed = plain(text)
  if (typed === '') return fail('Nothing is entered')
  if (AMBIGUOUS_COMMA.test(typed)) return fail(`“${text.trim()}” ${DOUBTFUL}`)
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
  const fault = imperialFault({ feet, inches, numerator, denominator, mark }, text.trim(), system)
  if (fault) return fail(fault)
  const total = Number(inches ?? 0) + fractionOf(numerator, denominator)
  return { ok: true, mm: (sign === '-' ? -1 : 1) * (Number(feet ?? 0) * INCHES_PER_FOOT + total) * MM_PER_INCH }
}
