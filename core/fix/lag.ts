import type { Fastener } from '../job'
import { figure, words, type Figure } from '../units'
import { governingMode, MODE_NAMES } from './yield'

const INCH = 25.4
const POUND = 4.4482216
/** lb/in² in a MPa. */
const PSI = 145.0377377
/** Bearing strength of a steel plate (AWC TR12 for ASTM A36) and of plywood (NDS table 12.3.3B), psi. */
const BEARING = { steel: 87_000, plywood: 3_350 }

/** Load duration factors (NDS table 2.3.2). */
export const DURATION = { permanent: 0.9, wind: 1.6 } as const

/** What a lag screw is driven through and into; lengths in mm. */
export interface LagJoint {
  gravity: number
  /** Thickness of what the head bears on, and whether that is a board of plywood and not steel. */
  plate: number
  board?: boolean
  /** Between plate and wood: the covering, which the screw must bridge. */
  gap: number
  duration: number
}

/** How much of the thread is in the wood, its tip left out, mm: no more than the wood is deep. */
export function threadInWood({ length, thread = 0 }: Fastener, plate: number, covering: number, depth = Infinity): number {
  return Math.max(Math.min(thread, length - plate - covering, depth), 0)
}

/**
 * Allowable withdrawal of a lag screw, N: 1800·G^1.5·D^0.75 lbf for each inch of thread in the wood
 * (NDS 12.2.1), times the load duration factor.
 *
 * @example
 * // 3/8 in, 57 mm of thread in G 0.42, permanent load: 2109 N
 */
export function lagWithdrawal(lag: Fastener, { gravity, duration }: LagJoint, inWood: number): Figure {
  const each = 1800 * gravity ** 1.5 * (lag.diameter / INCH) ** 0.75
  const perMm = each * POUND / INCH
  return figure([
    { label: 'Withdrawal for each mm', expression: words`1800 × ${String(gravity)}^1.5 × ${(lag.diameter / INCH).toFixed(3)}^0.75 = ${each.toFixed(1)} lbf/in`, value: perMm, unit: 'N/mm', source: 'NDS 12.2.1' },
    { label: 'Withdrawal', expression: words`${perMm.toFixed(2)} N/mm × ${inWood} of thread × load duration ${String(duration)}`, value: perMm * inWood * duration, unit: 'N', source: 'NDS 12.2.1, 2.3.2' },
  ])
}

/**
 * Allowable shear of a lag screw under a steel plate or a board, N: the least of the yield modes on the root
 * diameter, the covering being a gap (AWC TR12; NDS 12.3). Undefined where root or yield are not given.
 *
 * @example
 * // 3/8 in (root 0.265 in, 45,000 psi), 57 mm in G 0.42, 2.5 mm plate: 790 N, and 369 N through 12.5 mm of board
 */
export function lagShear(lag: Fastener, { gravity, plate, board = false, gap, duration }: LagJoint, inWood: number): Figure | undefined {
  if (lag.root === undefined || lag.yield === undefined) return undefined
  const diameter = lag.root / INCH
  const [wood, bending] = [11_200 * gravity, lag.yield * PSI]
  const { mode, reduction, capacity } = governingMode({
    side: (board ? BEARING.plywood : BEARING.steel) * diameter, main: wood * diameter, sideLength: plate / INCH, mainLength: inWood / INCH, gap: gap / INCH, moment: bending * diameter ** 3 / 6,
  }, diameter)
  const newtons = capacity * POUND
  return figure([
    { label: 'Bearing of the wood along the grain', expression: words`11200 × ${String(gravity)} psi`, value: wood / PSI, unit: 'MPa', source: 'NDS 12.3.3' },
    { label: 'Governs', expression: words`${MODE_NAMES[mode]}; root ${lag.root}, ${board ? 'board' : 'plate'} ${plate}, gap ${gap}, ${inWood} in the wood, over R_d ${String(reduction)}`, value: newtons, unit: 'N', source: 'AWC TR12' },
    { label: 'Shear', expression: words`${newtons.toFixed(0)} N × load duration ${String(duration)}`, value: newtons * duration, unit: 'N', source: 'NDS 12.3, 2.3.2' },
  ])
}

/** How far a lag screw is used by tension and shear together: the load over Z_α = W·Z ÷ (W·cos²α + Z·sin²α) (NDS 12.4.1). */
export function lagUse(tension: number, shear: number, withdrawal: number, lateral: number): number {
  const load = Math.hypot(tension, shear)
  if (load === 0) return 0
  const [cos, sin] = [shear / load, tension / load]
  return load * (withdrawal * cos ** 2 + lateral * sin ** 2) / (withdrawal * lateral)
}
