import type { Wall } from '../job'
import { figure, quantity, words, type Figure } from '../units'

/** What a wall says of its wind. */
export type Exposed = Partial<Pick<Wall, 'wind' | 'windSpeed' | 'height'>>

/** Density of air, kg/m³, and half of it as ASCE 7 has it in SI. */
const [AIR, PER_SPEED] = [1.25, 0.613]
/** Terrains of EN 1991-1-4, table 4.1: roughness length and least height, m. */
const TERRAINS = {
  'open-sea': { roughness: 0.003, least: 1 },
  'open': { roughness: 0.05, least: 2 },
  'suburb': { roughness: 0.3, least: 5 },
  'town': { roughness: 1, least: 10 },
} as const
/** The roughness that terrain factors are measured by, m. */
const STANDARD_ROUGHNESS = 0.05
const MPH = 0.44704

/** Whether a wall is out in the wind. */
export const isInWind = ({ wind, windSpeed }: Exposed): boolean => wind !== undefined || windSpeed !== undefined

const speedOf = (value: number) => quantity(value, 'm/s')

/** Peak pressure of a 10 min mean at a height over a terrain (EN 1991-1-4, 4.3 to 4.5). */
function peakOfMean(speed: number, height: number, exposure: keyof typeof TERRAINS): Figure {
  const { roughness, least } = TERRAINS[exposure]
  const z = Math.max(height, least)
  const logarithm = Math.log(z / roughness)
  const mean = 0.19 * (roughness / STANDARD_ROUGHNESS) ** 0.07 * logarithm * speed
  const turbulence = 1 / logarithm
  const [rough, standard] = [1000 * roughness, 1000 * STANDARD_ROUGHNESS]
  const value = (1 + 7 * turbulence) * 0.5 * AIR * mean ** 2
  return figure([
    {
      label: 'Mean wind at that height',
      expression: words`0.19 × (${rough} ÷ ${standard})^0.07 × ln(${1000 * z} ÷ ${rough}) × ${speedOf(speed)}`,
      value: mean,
      unit: 'm/s',
      source: 'EN 1991-1-4, 4.3',
    },
    {
      label: 'Peak pressure',
      expression: words`(1 + 7 × turbulence ${turbulence.toFixed(3)}) × ½ρ × (${speedOf(mean)})²`,
      value,
      unit: 'Pa',
      source: 'EN 1991-1-4, 4.5',
    },
  ])
}

/** Pressure of a 3 s gust. */
const ofGust = (gust: number) => words`0.613 × (${speedOf(gust)})²`

/**
 * The pressure of the wind on a wall, Pa, by what its speed was measured over; undefined inside. A speed without a
 * basis is read as a 3 s gust.
 *
 * @example
 * pressureOf({ wind: { speed: 28, basis: 'mean-10min', height: 2600, exposure: 'open-sea' } })!.value // 1110.6…
 */
export function pressureOf({ wind, windSpeed, height = 10_000 }: Exposed): Figure | undefined {
  if (!isInWind({ wind, windSpeed })) return undefined
  const { speed, basis, ...at } = wind ?? { speed: windSpeed!, basis: 'gust-3s' as const }
  if (basis === 'mean-10min') return peakOfMean(speed, (at.height ?? height) / 1000, at.exposure ?? 'open-sea')
  const gust = basis === 'gust-3s' ? speed : ((speed / MPH + 10.5) / 1.05) * MPH
  return figure([
    ...(basis === 'fastest-mile'
      ? [
          {
            label: '3 s gust',
            expression: words`(fastest mile ${(speed / MPH).toFixed(1)} mph + 10.5) ÷ 1.05`,
            value: gust,
            unit: 'm/s',
            source: 'ASCE 7 commentary C26.5',
          },
        ]
      : []),
    {
      label: 'Pressure',
      expression: ofGust(gust),
      value: PER_SPEED * gust ** 2,
      unit: 'Pa',
      source: 'ASCE 7: 0.613·V², 3 s gust',
    },
  ])
}
