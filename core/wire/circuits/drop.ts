import { figure, quantity, words, type Figure, type Step, type Text } from '../../units'

/** Resistivity of copper, Ω·mm²/m: hot, as conductors under load are; at 20 °C it is 0.0172. */
const COPPER_HOT = 0.0225
/** So much of a circuit's voltage may be lost to the farthest display, and so much in all, from the service on. */
export const MOST_DROP = { branch: 0.03, all: 0.05 }
const SOURCE = 'NEC 210.19(A) informational note, IEC 60364-5-52 annex G; check with local code'

/** A stretch of cable on the way to the farthest box: how long, mm, and of what cross-section, mm². */
export interface Stretch { length: number, area: number }

/** What a circuit loses on the way to its farthest box: V, and the same as a share of its voltage, with its working. */
export interface Drop { volts: number, share: Figure }

/**
 * The voltage lost to the farthest box of a circuit: the whole current of its screens over the whole length, there and
 * back, conductors hot. Boxes on the way take some of it off, so that it is rather less.
 *
 * @example
 * // 40 m of 2.5 mm² at 10 A: 2 × 40 × 10 × 0.0225 ÷ 2.5 = 7.2 V, 3.13 % of 230 V
 * dropOf([{ length: 40_000, area: 2.5 }], 10, 230).volts // 7.2
 */
export function dropOf(stretches: Stretch[], amps: number, volts: number): Drop {
  const byArea = new Map<number, number>()
  for (const { length, area } of stretches) byArea.set(area, (byArea.get(area) ?? 0) + length)
  const parts = [...byArea].map(([area, length]) => ({ area, metres: length / 1000 }))
  const lost = parts.reduce((sum, { area, metres }) => sum + 2 * metres * amps * COPPER_HOT / area, 0)
  const hot = (area: number) => 1000 * COPPER_HOT / area
  const share = figure([
    ...parts.map(({ area }): Step => ({
      label: 'Resistance of a conductor',
      expression: words`copper, hot, of ${quantity(area, 'sq mm')}`,
      value: hot(area),
      unit: 'Ω/km',
    })),
    {
      label: 'Voltage drop to the farthest box',
      expression: parts.reduce<Text>((text, { area, metres }, n) => {
        const term = words`2 × ${metres * 1000} × ${quantity(amps, 'A')} × ${quantity(hot(area), 'Ω/km')}`
        return n === 0 ? term : words`${text} + ${term}`
      }, []),
      value: lost,
      unit: 'V',
      source: 'all current over the whole length, there and back',
    },
    {
      label: 'Voltage drop',
      expression: words`${lost.toFixed(2)} V ÷ ${String(volts)} V; maximum ${String(100 * MOST_DROP.branch)} %`,
      value: 100 * lost / volts,
      unit: '%',
      source: SOURCE,
    },
  ])
  return { volts: lost, share }
}

/** The cross-section that loses no more than it may over a length, mm². */
export const areaForDrop = (length: number, amps: number, volts: number): number =>
  2 * (length / 1000) * amps * COPPER_HOT / (MOST_DROP.branch * volts)
