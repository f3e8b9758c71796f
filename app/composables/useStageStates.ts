import { whenever } from '@vueuse/core'
import type { Stage } from '~~/core/finding'
import type { StageState } from '~~/core/plan/stageStates'

/** What tells how a stage stands, once it has been fetched: the drawing does without. */
const standing = shallowRef<typeof import('~~/core/plan/stageStates') & typeof import('~~/core/plan/whatNow')>()

/** How the wall stands, once what tells it has been fetched, from what was entered and what was found. */
function useStanding() {
  const store = useWallStore()
  const { plan, findings, built } = useWallPlan()
  const fetchIt = async () => {
    standing.value ??= await untilFetched(async () => ({
      ...await import('~~/core/plan/stageStates'), ...await import('~~/core/plan/whatNow'),
    }))
  }
  whenever(useDrawingStands(), fetchIt, { immediate: true })
  const now = computed(() => store.wall && standing.value?.standingOf({
    wall: { ...store.wall, ...store.wallRecord }, plan: plan.value, findings: findings.value, log: store.allLog,
    catalogue: store.catalogue, rules: store.rules, units: store.siteUnits, built: built.value,
  }))
  return now
}

/** How each stage of the wall stands. */
export function useStageStates() {
  const now = useStanding()
  return computed(() => (stage: Stage): StageState =>
    now.value && standing.value ? standing.value.stageState(stage, now.value) : 'not started')
}

/** What is to be done next while a stage is worked on. */
export function useWhatNow(stage: () => Stage) {
  const now = useStanding()
  return computed(() => now.value && standing.value?.whatNow(stage(), now.value))
}
