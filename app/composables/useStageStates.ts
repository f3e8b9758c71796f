import type { Stage } from '~~/core/finding'
import { waitOf } from '~~/core/plan/waits'

export type StageState = 'not started' | 'in hand' | 'waits' | 'stop' | 'caution' | 'settled'

/** How each stage of the wall stands, from what was entered and what was found. */
export function useStageStates() {
  const store = useWallStore()
  const { plan, findings, drilled, steps } = useWallPlan()

  const begun = computed<Partial<Record<Stage, boolean>>>(() => ({
    survey: true,
    arrange: (plan.value?.arrays.length ?? 0) > 0,
    mount: plan.value?.arrays.some(({ positions }) => positions.some(({ plate }) => plate)) ?? false,
    fix: plan.value?.arrays.some(({ positions }) => positions.some(({ loads }) => loads)) ?? false,
    mark: (plan.value?.marking.marks.length ?? 0) > 0,
    hang: drilled.value.size > 0,
  }))
  const settled = computed<Partial<Record<Stage, boolean>>>(() => ({
    survey: (plan.value?.members.length ?? 0) > 0 || !store.wall?.structure.kind.endsWith('stud'),
    arrange: begun.value.arrange,
    mount: begun.value.mount,
    fix: begun.value.fix,
    mark: begun.value.mark && !findings.value.some(({ severity }) => severity === 'stop'),
    hang: steps.value.length > 0 && steps.value.every(({ hole }) => drilled.value.has(hole.id)),
  }))
  return computed(() => (stage: Stage): StageState => {
    const here = findings.value.filter(finding => finding.stage === stage)
    if (here.some(({ severity }) => severity === 'stop')) return 'stop'
    if (waitOf(stage, findings.value)) return 'waits'
    if (!begun.value[stage]) return 'not started'
    if (here.some(({ severity }) => severity === 'caution')) return 'caution'
    return settled.value[stage] ? 'settled' : 'in hand'
  })
}
