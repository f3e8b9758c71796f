import { createSharedComposable } from '@vueuse/core'
import { arrange, pixelMap, testPicture } from '~~/core/arrange'
import { screenLabel } from '~~/core/job/screenLabel'

/** The test picture of the array that is worked on, on its own canvas; of one screen alone where one is chosen. */
export const useTestPicture = createSharedComposable(() => {
  const store = useWallStore()
  const shown = ref(false)
  /** The screen whose identity is shown alone; none: the whole picture. */
  const only = ref('')
  const map = computed(() => {
    const arrangement
      = store.array && store.shown ? arrange(store.array, store.catalogue.displays, store.shown) : undefined
    return arrangement && arrangement.cells.length > 0 ? pixelMap(arrangement.cells, arrangement.imageGap) : undefined
  })
  const crops = computed(() => map.value?.crops ?? [])
  const picture = computed(() => {
    if (!map.value) return ''
    const alone = crops.value.find(({ row, column }) => screenLabel({ row, column }) === only.value)
    return testPicture(alone ? { ...map.value, crops: [alone] } : map.value, store.array?.name ?? '')
  })
  watch(() => store.array?.id, () => { only.value = '' })
  return { shown, only, crops, picture, map }
})
