import type { WallPlan } from '~~/core/plan'
import type { DrawnPlan } from '~~/core/plan/drawn'

/** What the open wall is drawn by: its plan, or, until that has been calculated, the one that was kept of it. */
export function useKeptDrawing(plan: () => WallPlan | undefined) {
  const store = useWallStore()
  /** What a wall is drawn by until its plan is there, kept from the last time; of which wall. Only drawn, ever. */
  const kept = shallowRef<{ site: string, wall: string, plan: DrawnPlan }>()
  const isOfThis = computed(() => kept.value?.site === store.site && kept.value.wall === store.id)
  const drawn = computed((): DrawnPlan | undefined => plan() ?? (isOfThis.value ? kept.value!.plan : undefined))
  /** Whether it is drawn by a plan that is being brought up to date. */
  const isKept = computed(() => plan() === undefined && drawn.value !== undefined)
  return { kept, drawn, isKept }
}
