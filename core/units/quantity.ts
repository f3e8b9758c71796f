import { bitName } from './bit'
import type { UnitSystem } from './length'

/**
 * A figure with its unit, kept exact until it is shown in the reader's system; `bit` is the diameter of a drill, mm.
 */
export interface Quantity { value: number, unit: string }

/** What each unit is in feet, inches and pounds, and how many of it one metric unit is. */
const IMPERIAL: Record<string, { unit: string, per: number }> = {
  'mm': { unit: 'in', per: 1 / 25.4 },
  'mm²': { unit: 'in²', per: 1 / 25.4 ** 2 },
  // Cross-section of a conductor, and room in a box, as electricians have them.
  'sq mm': { unit: 'kcmil', per: 1.973525 },
  'cm³': { unit: 'in³', per: 1 / 2.54 ** 3 },
  'Ω/km': { unit: 'Ω/kft', per: 0.3048 },
  'N': { unit: 'lbf', per: 1 / 4.4482216 },
  'N/mm': { unit: 'lbf/in', per: 25.4 / 4.4482216 },
  'N·m': { unit: 'lbf·ft', per: 1 / (4.4482216 * 0.3048) },
  'MPa': { unit: 'psi', per: 145.0377377 },
  'Pa': { unit: 'psf', per: 1 / 47.880259 },
  'kg': { unit: 'lb', per: 1 / 0.45359237 },
  'mm/m': { unit: 'in/ft', per: 0.3048 / 25.4 },
  'm/s': { unit: 'mph', per: 3_600 / 1_609.344 },
  'm³/h': { unit: 'ft³/min', per: 1 / 0.3048 ** 3 / 60 },
  'K': { unit: '°F', per: 1.8 },
  'min/m': { unit: 'min/ft', per: 0.3048 },
}

/** Decimals with which a unit is reported, so that a sum can be followed. */
const DECIMALS: Record<string, number> = {
  'mm': 1, 'mm²': 0, 'N': 1, 'N/mm': 2, 'N·m': 1, 'MPa': 1, 'Pa': 0, 'kg': 1, 'mm/m': 1, 'm/s': 1, 'm³/h': 0, 'K': 0,
  'in': 2, 'in²': 2, 'lbf': 1, 'lbf/in': 1, 'lbf·ft': 1, 'psi': 0, 'psf': 1, 'lb': 1, 'in/ft': 2, 'mph': 0,
  'ft³/min': 0, '°F': 0, 'sq mm': 2, 'kcmil': 2, 'cm³': 1, 'in³': 1, 'Ω/km': 2, 'Ω/kft': 2,
}

/**
 * A figure and its unit as a reader of this system has them; unknown units stay as they are.
 *
 * @example
 * inSystem({ value: 145.4, unit: 'N' }, 'imperial') // { value: 32.69, unit: 'lbf' }
 */
export function inSystem({ value, unit }: Quantity, system: UnitSystem): Quantity {
  const other = system === 'imperial' ? IMPERIAL[unit] : undefined
  return other ? { value: value * other.per, unit: other.unit } : { value, unit }
}

/** The same in characters, as in a sum: no more decimals than its unit is reported with, and none that are 0. */
export function quantityToString(quantity: Quantity, system: UnitSystem): string {
  if (quantity.unit === 'bit') return bitName(quantity.value, system)
  const { value, unit } = inSystem(quantity, system)
  const figures = String(Number(value.toFixed(DECIMALS[unit] ?? 2)))
  return unit === '' ? figures : `${figures} ${unit}`
}

/**
 * A figure that was typed in the reader's unit, in the metric unit in which it is kept.
 *
 * @example
 * fromSystem(100, 'kg', 'imperial') // 45.359237: a hundred pounds
 */
export function fromSystem(value: number, unit: string, system: UnitSystem): number {
  const other = system === 'imperial' ? IMPERIAL[unit] : undefined
  return other ? value / other.per : value
}

/** What a metric unit is called by a reader of this system. */
export const unitIn = (unit: string, system: UnitSystem): string =>
  (system === 'imperial' ? IMPERIAL[unit]?.unit : undefined) ?? unit

/**
 * A term of a sum: a figure whose unit follows its reader. Lengths in sums are decimal, so that they can be multiplied.
 */
export const quantity = (value: number, unit: string): Quantity => ({ value, unit })

/** How many there are of something: a figure of a sentence that has no unit. */
export const counted = (value: number): Quantity => ({ value, unit: '' })

/**
 * How true a length is, rounded up so that it is never told too well: to a tenth of a millimetre, or a hundredth of an
 * inch.
 */
export function toleranceToString(mm: number, system: UnitSystem): string {
  const up = (value: number, step: number) => Math.ceil(value / step - 1e-9) * step
  return system === 'metric' ? `${up(mm, 0.1).toFixed(1)} mm` : `${up(mm / 25.4, 0.01).toFixed(2)} in`
}
