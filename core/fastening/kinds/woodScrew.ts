import { figure, quantity, words, type Figure, type UnitSystem } from '../../units'
import { bitUpTo } from '../bits'
import { INCH } from '../units'
import { SCREW_NEEDS, type FastenerKind, type WoodScrew } from './kind'

/** Lead hole as a share of the root: up to this specific gravity, and above it (NDS 12.1.5.2). */
const LEAD = { upTo: 0.6, share: 0.7, hard: 0.9 }

function lead({ root }: WoodScrew, gravity: number, units: UnitSystem): Figure | undefined {
  if (root === undefined) return undefined
  const share = gravity <= LEAD.upTo ? LEAD.share : LEAD.hard
  const part = words`${String(100 * share)} % of the root diameter ${quantity(root, 'mm')}`
  const expression = words`${part}, next smaller standard size, for wood of G ${String(gravity)}`
  const value = bitUpTo(share * root, units)
  return figure([{ label: 'Bit', expression, value, unit: 'bit', source: 'NDS 12.1.5.2' }])
}

/** Driven into wood; its thread runs to its end (NDS 12.2.2). */
export const woodScrew: FastenerKind = {
  needs: SCREW_NEEDS,
  wood: {
    withdrawal: (d, gravity) => 2850 * gravity ** 2 * d,
    withdrawalSum: (d, gravity) => words`2850 × ${String(gravity)}² × D ${d.toFixed(3)} in`,
    source: 'NDS 12.2.2',
    tip: () => 0,
    feelsGrain: diameter => diameter >= INCH / 4 - 1e-9,
    lead,
    seat: { of: 'shank', diameters: 6, rule: 'six diameters (NDS 12.1.5.6)' },
    drawsDepth: false,
  },
}
