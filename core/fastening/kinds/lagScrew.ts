import { figure, quantity, words, type Figure, type UnitSystem } from '../../units'
import { bitUpTo } from '../bits'
import { INCH } from '../units'
import { SCREW_NEEDS, type FastenerKind, type WoodScrew } from './kind'

/** Length of a lag screw's gimlet point by its diameter, in (NDS appendix L2). */
const TIPS: [diameter: number, tip: number][] = [
  [1 / 4, 5 / 32], [5 / 16, 3 / 16], [3 / 8, 7 / 32], [7 / 16, 9 / 32], [1 / 2, 5 / 16], [5 / 8, 3 / 8],
  [3 / 4, 7 / 16],
]
/** The same as a share of the diameter, where the table has no such screw: no less than any of its lines. */
const TIP_SHARE = 0.65

/** Lead hole for the thread as a share of the diameter, by the wood's specific gravity (NDS 12.1.4.2). */
const LEAD_HOLES = [
  { upTo: 0.5, from: 0.40, to: 0.70 },
  { upTo: 0.6, from: 0.60, to: 0.75 },
  { upTo: Infinity, from: 0.65, to: 0.85 },
]

function lead({ diameter }: WoodScrew, gravity: number, units: UnitSystem): Figure | undefined {
  const { from, to } = LEAD_HOLES.find(({ upTo }) => gravity <= upTo)!
  const bit = bitUpTo(to * diameter, units)
  if (bit < from * diameter - 1e-9) return undefined
  const [most, least] = [String(Math.round(100 * to)), String(Math.round(100 * from))]
  const range = words`at most ${most} % and at least ${least} % of ${quantity(diameter, 'mm')}`
  const expression = words`${range}, largest standard size, for wood of G ${String(gravity)}`
  return figure([{ label: 'Bit', expression, value: bit, unit: 'bit', source: 'NDS 12.1.4.2' }])
}

/** Turned into wood with a wrench, its shank thicker than its thread's root. */
export const lagScrew: FastenerKind = {
  needs: SCREW_NEEDS,
  wood: {
    withdrawal: (d, gravity) => 1800 * gravity ** 1.5 * d ** 0.75,
    withdrawalSum: (d, gravity) => words`1800 × ${String(gravity)}^1.5 × (D ${d.toFixed(3)} in)^0.75`,
    source: 'NDS 12.2.1',
    tip(diameter) {
      const listed = TIPS.find(([size]) => Math.abs(size * INCH - diameter) < 0.2)
      return listed ? listed[1] * INCH : TIP_SHARE * diameter
    },
    feelsGrain: () => true,
    lead,
    seat: { of: 'thread', diameters: 4, rule: 'four diameters (NDS 12.1.4)' },
    drawsDepth: true,
  },
}
