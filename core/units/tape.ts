import { formatLength, roundLength, type Precision, type UnitSystem } from './length'

/** What a tape shows at a place: the nearest whole figure that is printed on it, and what is left from there. */
export interface TapeReading { whole: string, rest: string }

/** Whole figures on a tape: centimetres, and inches. */
const WHOLE: Record<UnitSystem, number> = { metric: 10, imperial: 25.4 }

/**
 * A length as it is found on a tape: the nearest whole centimetre or inch, and the rest, + beyond it, − short of it;
 * of the figure as it is printed, so that the two never disagree.
 *
 * @example
 * tapeReading(1903, 'metric', {}) // { whole: '190 cm', rest: '+ 3 mm' }
 * tapeReading(1903.4, 'imperial', {}) // { whole: '75"', rest: '− 1/16"' }
 */
export function tapeReading(mm: number, units: UnitSystem, precision: Precision): TapeReading {
  const printed = roundLength(mm, units, precision)
  const unit = WHOLE[units]
  const count = Math.round(printed / unit)
  const rest = printed - count * unit
  const small = formatLength(Math.abs(rest), units, precision)
  const zero = Math.abs(rest) < 1e-6
  return {
    whole: units === 'metric' ? `${count} cm` : `${count}"`,
    rest: zero ? '' : `${rest > 0 ? '+' : '−'} ${small}${units === 'metric' ? ' mm' : ''}`,
  }
}
