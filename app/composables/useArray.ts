import { createSharedComposable } from '@vueuse/core'
import { arrange, screenId } from '~~/core/arrange'
import type { ScreenArray } from '~~/core/job'

/** The array that is worked on, its models, and how it lies on the wall; and editing it. */
export const useArray = createSharedComposable(() => {
  const store = useWallStore()
  const array = computed(() => store.array)
  const display = computed(() => store.catalogue.displays.find(({ id }) => id === array.value?.display))
  const mount = computed(() => store.catalogue.mounts.find(({ id }) => id === array.value?.mount))
  const arrangement = computed(() =>
    array.value && store.shown ? arrange(array.value, store.catalogue.displays, store.shown) : undefined,
  )
  const { selectedOf } = useSelection()
  /** The screen of this array that is chosen. */
  const cell = computed(() =>
    arrangement.value?.cells.find(({ row, column }) => selectedOf('screen') === screenId(array.value!, row, column)),
  )
  const edit = (label: string, recipe: (array: ScreenArray) => void) =>
    store.edit(label, wall => recipe(arrayOf(wall, array.value!.id)))
  return { array, display, mount, arrangement, cell, edit }
})
