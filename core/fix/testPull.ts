import type { Mount } from '../job'
import type { LoadCase, PlateUse } from '../mount'
import { GRAVITY, isByHand } from './cases'

/** A pull straight out at a fastener of a plate before a screen hangs on it, N, and the case that it stands for. */
export interface TestPull {
  force: number
  case: LoadCase
}

/**
 * What each plate of some screens is tested with before hanging: the tension that the hand brings on the worst
 * fastener in the case that uses it most, never more than the mount carries. Undefined where no hand loads them.
 *
 * @example
 * testPull([{ case: 'service-hand', fastener: 'h', shear: 145, tension: 245, utilisation: 0.4 }], { capacity: 56 })
 * // { force: 245, case: 'service-hand' }
 */
export function testPull(uses: PlateUse[], { capacity }: Pick<Mount, 'capacity'>): TestPull | undefined {
  const byHand = uses.filter(({ case: name }) => isByHand(name))
  if (byHand.length === 0) return undefined
  const weightOf = ({ utilisation, tension }: PlateUse) => utilisation ?? tension * 1e-9
  const governing = byHand.reduce((a, b) => (weightOf(b) > weightOf(a) ? b : a))
  return { force: Math.min(governing.tension, capacity * GRAVITY), case: governing.case }
}
