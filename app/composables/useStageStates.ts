import { whenever } from '@vueuse/core'
import type { Stage } from '~~/core/finding'
import type { StageState } from '~~/core/plan/stageStates'

/** What tells how a stage stands, once it has been fetched: the drawing does without. */
const standing = shallowRef<typeof import('~~/core/plan/stageStates')>()

/** How each stage of the wall stands, from what was entered and what was found. */
export function useStageStates() {
  const store = useWallStore()
  const { plan, findings, built } = useWallPlan()
  const fetchIt = async () => { standing.value ??= await untilFetched(() => import('~~/core/plan/stageStates')) }
  whenever(useDrawingStands(), fetchIt, { immediate: true })
  const now = computed(() => store.wall && standing.value?.standingOf(
    { ...store.wall, ...store.wallRecord }, plan.value, findings.value, store.allLog, store.rules, store.siteUnits, built.value,
  ))
  return computed(() => (stage: Stage): StageState =>
    now.value && standing.value ? standing.value.stageState(stage, now.value) : 'not started')
}
