import { createSharedComposable } from '@vueuse/core'
import { standing } from '~~/core/log'
import { chosenFigure } from '~~/core/rules'
import { isTrued } from '~~/core/true/seam'
import { lastSeams, trueScreens, turnedOf, type Alignment } from '~~/core/true'
import { Cancelled } from '~/workers/pool'
import { useStudies } from '~/workers/useStudies'

/** By which ids entries name the wall; what was frozen of it is not sent along. */
const namesOf = ({ id, formerId }: { id: string, formerId?: string }) => ({
  id,
  ...(formerId !== undefined && { formerId }),
})

/** Truing the array that is worked on: its screens, what was read last, and the moves that close its seams. */
export const useTruing = createSharedComposable(() => {
  const store = useWallStore()
  const { plan, context } = useWallPlan()
  const studies = useStudies()
  const array = computed(() => store.array)
  const arrayPlan = computed(() => plan.value?.arrays.find(({ id }) => id === array.value?.id))
  const screens = computed(() =>
    array.value && arrayPlan.value ? trueScreens(array.value, arrayPlan.value, store.catalogue, new Map()) : [],
  )
  /** The screens with the travel that each adjuster has left now. */
  const now = computed(() => {
    if (!array.value || !arrayPlan.value) return []
    const perTurn = (screen: string, adjuster: string) =>
      screens.value.find(({ name }) => name === screen)?.travels.find(travel => travel.adjuster === adjuster)?.perTurn
    return trueScreens(
      array.value,
      arrayPlan.value,
      store.catalogue,
      turnedOf(standing(store.allLog, store.wallRecord), array.value.id, perTurn),
    )
  })
  const last = computed(() => array.value && lastSeams(store.allLog, store.wallRecord, array.value.id))
  /** Whether every seam that was read last is within the tolerance as it is. */
  const isTrue = computed(
    () =>
      last.value !== undefined
      && array.value !== undefined
      && isTrued(last.value, array.value.gap, chosenFigure('seamTolerance', store.rules, store.siteUnits)),
  )
  const alignment = shallowRef<Alignment>()
  const failed = ref('')
  const working = ref(false)
  watch([() => store.allLog, array, arrayPlan], async ([log, now, planned], _before, onCleanup) => {
    const outdated = new AbortController()
    onCleanup(() => outdated.abort())
    failed.value = ''
    if (!now || !planned || !last.value) {
      alignment.value = undefined
      return
    }
    working.value = true
    try {
      const of = {
        array: toRaw(now),
        plan: toRaw(planned),
        wall: namesOf(store.wallRecord),
        log: toRaw(log),
        context: context.value,
      }
      alignment.value = await studies.run(api => api.align(of), outdated.signal)
    }
    catch (error) {
      if (!(error instanceof Cancelled)) failed.value = (error as Error).message
    }
    if (!outdated.signal.aborted) working.value = false
  }, { immediate: true })
  return { array, arrayPlan, screens, now, last, isTrue, alignment, failed, working }
})
