import type { Fastener } from '../job'
import { figure, quantity, words, type Figure, type Step } from '../units'

/** Stress areas of coarse threads by their diameter, mm and mm² (ISO 898-1; ASME B1.1). */
const STRESS_AREAS: [diameter: number, area: number][] = [
  [5, 14.2],
  [6, 20.1],
  [6.35, 20.5],
  [7.9375, 33.8],
  [8, 36.6],
  [9.525, 50],
  [10, 58],
  [12, 84.3],
  [12.7, 91.6],
  [15.875, 145.8],
  [16, 157],
  [19.05, 215.5],
  [20, 245],
]
/** The same as a share of the whole, where the table has no such thread: no more than any of its lines. */
const AREA_SHARE = 0.64
/** Partial factor of steel that is bent, and from strength to allowable (EN 1992-4 table 4.1; 7.2.2.3). */
const [STEEL, LOADS] = [1.25, 1.4]
/** Plastic reserve of a round bar that is bent (EN 1992-4, 7.2.2.3.2). */
const PLASTIC = 1.2

/** What an anchor stands off its base by, and what its plate is like; mm. */
export interface StandOff {
  standOff: number
  plate: number
  rigid: boolean
}

/** The stress area of a thread, mm². */
export function stressArea(diameter: number): number {
  const listed = STRESS_AREAS.find(([size]) => Math.abs(size - diameter) < 0.02)
  return listed ? listed[1] : (AREA_SHARE * Math.PI * diameter ** 2) / 4
}

/** The lever arm on which shear bends an anchor, mm (EN 1992-4, 6.2.2.3). */
export const leverOf = ({ diameter }: Pick<Fastener, 'diameter'>, { standOff, plate }: StandOff) =>
  standOff + plate / 2 + diameter / 2

/** Whether it is known how far an anchor may be bent. */
export const bendsKnown = ({ steel, bending }: Fastener): boolean => steel !== undefined || bending !== undefined

/** Section modulus on the stress area, mm³. */
function modulusOf(diameter: number): number {
  const across = Math.sqrt((4 * stressArea(diameter)) / Math.PI)
  return (Math.PI * across ** 3) / 32
}

/** The tension that an anchor's steel bears, N, by design (EN 1992-4 table 4.1). */
function steelTension({ diameter, steel }: Fastener): number | undefined {
  if (!steel) return undefined
  const factor = Math.max((1.2 * steel.ultimate) / steel.yield, 1.4)
  return (stressArea(diameter) * steel.ultimate) / factor
}

/**
 * What of an anchor's bending strength its tension leaves: 1 − N ÷ N_Rd,s of the tension by design; where its steel is
 * not known by what its maker allows.
 */
function leftBy(tension: number, anchor: Fastener): number {
  const [steel, allowed] = [steelTension(anchor), anchor.allowable?.tension]
  const used = steel !== undefined ? (LOADS * tension) / steel : allowed !== undefined ? tension / allowed : 1
  return Math.max(1 - used, 0)
}

/** The allowable bending moment of an anchor without tension, N·mm. */
function momentOf({ diameter, steel, bending }: Fastener): number {
  return bending !== undefined ? 1_000 * bending : (PLASTIC * modulusOf(diameter) * steel!.ultimate) / (STEEL * LOADS)
}

/**
 * The shear that an anchor may bear where its plate does not bear on the base, N: its steel is bent over the stand-off
 * (EN 1992-4, 7.2.2.3), a plate that cannot rotate halves the moment.
 *
 * @param tension what pulls on it at the same time, N
 * @example
 * // M8 of grade 5.8, 37.5 of board and batten, a 3 mm plate: 249 N, where the plate cannot rotate 498 N
 * bentShear({ diameter: 8, steel: { yield: 400, ultimate: 500 } }, { standOff: 37.5, plate: 3, rigid: false }, 0)
 */
export function bentShear(anchor: Fastener, stand: StandOff, tension: number): number {
  return ((stand.rigid ? 2 : 1) * momentOf(anchor) * leftBy(tension, anchor)) / leverOf(anchor, stand)
}

/** The same with its working. */
export function bentShearFigure(anchor: Fastener, stand: StandOff, tension: number): Figure {
  const { diameter, steel, bending } = anchor
  const turns = stand.rigid ? '2 (the plate cannot rotate)' : '1 (the plate can rotate)'
  const [moment, left, lever] = [momentOf(anchor), leftBy(tension, anchor), leverOf(anchor, stand)]
  const bears = quantity(moment / 1000, 'N·m')
  const [area, strength] = [quantity(stressArea(diameter), 'mm²'), quantity(steel?.ultimate ?? 0, 'MPa')]
  const allowed: Step
    = bending !== undefined
      ? {
          label: 'Allowable bending moment',
          expression: words`as the maker gives it`,
          value: bending,
          unit: 'N·m',
          source: 'maker’s data sheet',
        }
      : {
          label: 'Allowable bending moment',
          expression: words`1.2 × W_el of the stress area ${area} × f_uk ${strength} ÷ (1.25 × 1.4)`,
          value: moment / 1000,
          unit: 'N·m',
          source: 'EN 1992-4, 7.2.2.3',
        }
  return figure([
    {
      label: 'Lever arm',
      expression: words`stand-off ${stand.standOff} + half plate ${stand.plate / 2} + half diameter ${diameter / 2}`,
      value: lever,
      unit: 'mm',
      source: 'EN 1992-4, 6.2.2.3',
    },
    allowed,
    {
      label: 'Allowable shear over the stand-off',
      expression: words`${turns} × ${bears} × ${left.toFixed(2)} left by the tension ÷ ${quantity(lever, 'mm')}`,
      value: bentShear(anchor, stand, tension),
      unit: 'N',
    },
  ])
}
