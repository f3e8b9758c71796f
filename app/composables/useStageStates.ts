import type { Stage } from '~~/core/finding'
import { stageState, standingOf, type StageState } from '~~/core/plan/stageStates'

/** How each stage of the wall stands, from what was entered and what was found. */
export function useStageStates() {
  const store = useWallStore()
  const { plan, findings, built } = useWallPlan()
  const now = computed(() => store.wall && standingOf({ ...store.wall, ...store.wallRecord }, plan.value, findings.value, store.allLog, store.rules, store.siteUnits, built.value))
  return computed(() => (stage: Stage): StageState => now.value ? stageState(stage, now.value) : 'not started')
}
