import { createSharedComposable } from '@vueuse/core'
import { studiedArray, type NotKnown, type Study } from '~~/core/study'
import { Cancelled } from '~/workers/pool'
import { tellsHere, useStudies } from '~/workers/useStudies'

/** A study of an array and what it was made of. */
export interface Studied {
  array: string
  study: Study
  notKnown: NotKnown[]
  tolerance: number
  by: 'running' | 'mark-to-mark'
  of: string
}

const [SEED, USUAL] = [1, 2_000]

/**
 * The study of the array that is worked on: run when it is asked for, with its progress shown, cancelled at any moment.
 */
export const useStudy = createSharedComposable(() => {
  const store = useWallStore()
  const { array, arrayPlan } = useTruing()
  const studies = useStudies()
  const trials = ref(USUAL)
  const share = ref<number>()
  const failed = ref('')
  const studied = shallowRef<Studied>()
  let running: AbortController | undefined
  const subject = computed(() =>
    array.value && arrayPlan.value && store.wall
      ? studiedArray(toRaw(array.value), toRaw(arrayPlan.value), toRaw(store.wall), store.catalogue, store.rules)
      : undefined,
  )
  /** By what it is reported whether a study is of what stands now. */
  const of = computed(() => JSON.stringify([store.rules.measuring, subject.value, trials.value]))
  const current = computed(() => studied.value?.array === array.value?.id ? studied.value : undefined)

  async function run() {
    const now = subject.value
    if (!now || !array.value) return
    running?.abort()
    const mine = running = new AbortController()
    share.value = 0
    failed.value = ''
    const [id, made] = [array.value.id, of.value]
    try {
      const by = store.rules.measuring ?? 'running'
      const tried = { wall: now.wall, causes: now.causes, trials: trials.value, seed: SEED, by }
      const told = tellsHere(async (done: number) => { if (!mine.signal.aborted) share.value = done })
      const study = await studies.run(api => api.study(tried, told), mine.signal)
      studied.value = { array: id, study, notKnown: now.notKnown, tolerance: now.wall.tolerance, by, of: made }
    }
    catch (error) {
      if (!(error instanceof Cancelled)) failed.value = (error as Error).message
    }
    if (running === mine) share.value = undefined
  }
  return {
    trials,
    share,
    failed,
    current,
    subject,
    outdated: computed(() => current.value !== undefined && current.value.of !== of.value),
    run,
    cancel: () => running?.abort(),
  }
})
