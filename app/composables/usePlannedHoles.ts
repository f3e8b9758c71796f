import { drilledHoles, holeSteps, leftBehind } from '~~/core/hang'
import type { AsBuilt } from '~~/core/log'
import type { WallPlan } from '~~/core/plan'
import type { DrawnPlan } from '~~/core/plan/drawn'

/** The holes of a plan beside what stands by the log. */
export function usePlannedHoles(
  plan: () => WallPlan | undefined, drawn: () => DrawnPlan | undefined, stood: () => AsBuilt,
) {
  const drilled = computed(() => drilledHoles(drawn()?.arrays ?? [], stood()))
  /** Holes in the wall that nothing planned uses. */
  const unused = computed(() => plan() ? leftBehind(plan()!.arrays, stood()) : [])
  const steps = computed(() => plan() ? holeSteps(plan()!.arrays) : [])
  return { drilled, unused, steps }
}
