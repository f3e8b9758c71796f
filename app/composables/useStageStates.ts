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
  const now = computed(() => store.wall && standing.value?.standingOf({
    wall: { ...store.wall, ...store.wallRecord }, plan: plan.value, findings: findings.value, log: store.allLog,
    catalogue: store.catalogue, rules: store.rules, units: store.siteUnits, built: built.value,
  }))
  return computed(() => (stage: Stage): StageState =>
    now.value && standing.value ? standing.value.stageState(stage, now.value) : 'not started')
}
