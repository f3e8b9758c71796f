import type { PlanContext } from '~~/core/job'
import { share } from '~/utils/share'

/** What the open wall is planned with beside itself: the same object for as long as nothing in it changes. */
export function usePlanContext(): ComputedRef<PlanContext> {
  const store = useWallStore()
  return computed<PlanContext>(before => share(before, {
    catalogue: toRaw(store.catalogue), rules: toRaw(store.rules), site: store.planSite,
  }))
}
