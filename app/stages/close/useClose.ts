import { createSharedComposable } from '@vueuse/core'
import { handoverOf, type HandedOver, type Handover } from '~~/core/close'
import { rulesFor } from '~~/core/rules'
import { screenLabel } from '~~/core/job/screenLabel'

/** What follows of the wall for its handover, and its screens by name. */
export const useClose = createSharedComposable(() => {
  const store = useWallStore()
  const { live, liveWall, built } = useWallPlan()
  const of = computed<HandedOver | undefined>(() => {
    if (!live.value || !store.wall || !store.server || !liveWall.value) return undefined
    const last = store.revisions.findLast(({ frozen }) => frozen !== undefined)
    return {
      site: store.server.job.site,
      wall: liveWall.value,
      plan: live.value,
      issued: last?.frozen?.plan.arrays ?? live.value.arrays,
      ...(last && { revision: last.revision }),
      built: built.value,
      catalogue: store.catalogue,
      rules: rulesFor({ rules: store.rules }, liveWall.value),
      log: store.allLog,
    }
  })
  const handover = computed<Handover | undefined>(() => of.value && handoverOf(of.value))
  const screens = computed(() =>
    (live.value?.arrays ?? []).flatMap(({ id: array, name, positions }) =>
      positions.map(position => ({
        ...position,
        array,
        label:
          live.value!.arrays.length > 1
            ? `${name} ${screenLabel(position)}`
            : screenLabel(position),
      })),
    ),
  )
  return {
    of,
    handover,
    screens,
    compared: computed(() => handover.value?.compared),
    record: computed(() => handover.value?.record),
  }
})
