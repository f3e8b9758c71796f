import { changeBetween, type Change } from '~~/core/hang'
import type { MadeHole } from '~~/core/log'
import type { ArrayPlan } from '~~/core/mount'

/** What followed from a hole that was not as planned: the plan as it was before it was recorded, against the plan as it is now. */
export interface Answer { hole: string, result: MadeHole['result'], change: Change }

/** The last result that differed from the plan, and what the plan made of it. */
export function useAnswer() {
  const { plan, built } = useWallPlan()
  const asked = useScreenState<{ hole: string, result: MadeHole['result'], before: ArrayPlan[] } | undefined>('hang-asked', () => undefined)
  const answer = computed<Answer | undefined>(() => {
    const of = asked.value
    // The plan that knows of it lists it among the holes that serve nothing.
    if (!of || !plan.value?.dead.some(({ hole, result }) => hole === of.hole && result === of.result)) return undefined
    return { hole: of.hole, result: of.result, change: changeBetween(of.before, plan.value.arrays) }
  })
  return {
    answer,
    dead: computed(() => plan.value?.dead.find(({ hole, result }) => hole === asked.value?.hole && result === asked.value.result)),
    ask: (hole: string, result: MadeHole['result']) => { asked.value = { hole, result, before: plan.value?.arrays ?? [] } },
    close: () => { asked.value = undefined },
    /** Whether it is still being worked out. */
    waiting: computed(() => asked.value !== undefined && answer.value === undefined && built.value.dead.some(({ hole }) => hole === asked.value!.hole)),
  }
}
