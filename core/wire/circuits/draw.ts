import { figure, words, type Figure, type UnitSystem } from '../../units'
import type { Display } from '../../job'

/**
 * A screen that draws power: its id, where its middle is, and what its sheet says; `power` is absent where that is not
 * known.
 */
export interface Load { screen: string, x: number, y: number, label: string, power?: NonNullable<Display['power']> }

/** Continuous loads take so much of a breaker's rating (NEC 210.20). */
export const CONTINUOUS = 0.8
/** Heat that a watt gives off in an hour, BTU. */
const BTU = 3.412

/** What a screen draws of a circuit at most, A. */
export const ampsOf = ({ max, factor = 1 }: NonNullable<Display['power']>, volts: number): number =>
  max / (volts * factor)

/**
 * Current of some screens on a circuit together with what is on it already, as a share of its breaker, %, with its
 * working.
 *
 * @param loaded what is on the circuit already, A
 * @example
 * // three screens of 165 W at 230 V on a breaker of 16 A: 2.15 A
 * shareOf(loads, { amps: 16, volts: 230, loaded: 0 }).value // 13.45, in %
 */
export function shareOf(
  loads: Load[],
  { amps, volts, loaded }: { amps: number, volts: number, loaded: number },
): Figure {
  const groups = new Map<string, { count: number, power: NonNullable<Display['power']> }>()
  for (const { power } of loads) {
    if (!power) continue
    const key = `${power.max} ${power.factor ?? 1}`
    groups.set(key, { count: (groups.get(key)?.count ?? 0) + 1, power })
  }
  const terms = [...groups.values()].map(
    ({ count, power }) => `${count} × ${power.max} W ÷ (${volts} V × ${power.factor ?? 1})`,
  )
  const current = loads.reduce((sum, { power }) => sum + (power ? ampsOf(power, volts) : 0), 0)
  const asOne = loads.every(({ power }) => power?.factor === undefined)
  return figure([
    {
      label: 'Max current',
      expression: words`${terms.join(' + ') || '0'}${asOne ? ', power factor not known, taken as 1' : ''}`,
      value: current,
      unit: 'A',
    },
    {
      label: 'With other load',
      expression: words`${current.toFixed(2)} A + ${String(loaded)} A`,
      value: current + loaded,
      unit: 'A',
    },
    {
      label: 'Circuit load',
      expression: words`${(current + loaded).toFixed(2)} A ÷ breaker ${String(amps)} A; maximum for continuous loads
        ${String(100 * CONTINUOUS)} %`,
      value: (100 * (current + loaded)) / amps,
      unit: '%',
      source: 'NEC 210.20; check with local code',
    },
  ])
}

/** Heat that screens give off by their typical power: W, or BTU/h to three figures where a site is in inches. */
export function heatOf(loads: Load[], units: UnitSystem = 'metric'): Figure {
  const watts = loads.reduce((sum, { power }) => sum + (power?.typical ?? 0), 0)
  const each = loads.flatMap(({ power }) => power ? [String(power.typical)] : [])
  const sum = { label: 'Typical power', expression: words`${each.join(' + ') || '0'}`, value: watts, unit: 'W' }
  if (units === 'metric') return figure([{ ...sum, label: 'Heat load' }])
  const heat = Number((watts * BTU).toPrecision(3))
  return figure([
    sum,
    { label: 'Heat load', expression: words`${String(watts)} W × ${String(BTU)}`, value: heat, unit: 'BTU/h' },
  ])
}
