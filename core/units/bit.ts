import { MM_PER_INCH, type UnitSystem } from './length'

const STEP = MM_PER_INCH / 64

/**
 * A bit as it is written on it: in a fraction of an inch where it is one and the reader uses inches, else in mm, with
 * its size in inches beside it for who uses these: an anchor of 8 mm takes the bit of 8 mm that its maker names.
 *
 * @example
 * bitName(6.35, 'imperial') // '1/4"'
 * bitName(8, 'imperial') // '8 mm (0.315")'
 */
export function bitName(mm: number, units: UnitSystem): string {
  const parts = mm / STEP
  const metric = `${Number(mm.toFixed(2))} mm`
  if (units === 'metric') return metric
  if (Math.abs(parts - Math.round(parts)) > 0.01) return `${metric} (${(mm / MM_PER_INCH).toFixed(3)}")`
  let [numerator, denominator] = [Math.round(parts), 64]
  while (numerator % 2 === 0 && denominator > 1) [numerator, denominator] = [numerator / 2, denominator / 2]
  const [whole, rest] = [Math.floor(numerator / denominator), numerator % denominator]
  return `${[...whole > 0 ? [whole] : [], ...rest > 0 ? [`${rest}/${denominator}`] : []].join(' ')}"`
}
