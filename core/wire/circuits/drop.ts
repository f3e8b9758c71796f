import { figure, words, type Figure } from '../../units'

/** Resistivity of copper, Ω·mm²/m: at 20 °C, and hot, as conductors under load are. */
export const COPPER = { cold: 0.0172, hot: 0.0225 }
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
  const lost = parts.reduce((sum, { area, metres }) => sum + 2 * metres * amps * COPPER.hot / area, 0)
  const terms = parts.map(({ area, metres }) =>
    `2 × ${metres.toFixed(2)} m × ${amps.toFixed(2)} A × ${COPPER.hot} Ω·mm²/m ÷ ${area} mm²`)
  const share = figure([
    {
      label: 'Voltage drop to the farthest box',
      expression: words`${terms.join(' + ')}`,
      value: lost,
      unit: 'V',
      source: 'conductors hot; all current over the whole length',
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
  2 * (length / 1000) * amps * COPPER.hot / (MOST_DROP.branch * volts)
