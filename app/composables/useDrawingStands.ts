import { createSharedComposable, whenever } from '@vueuse/core'

/** A page that is not looked at is not painted: after so long it goes on all the same, ms. */
const UNSEEN = 100

/** What the browser's timeline calls the moment when a wall is first drawn: the bench measures up to it. */
const DRAWN = 'wall-drawn'

/** Once the browser has painted what it has now. */
export const painted = (): Promise<void> => new Promise((done) => {
  setTimeout(done, UNSEEN)
  requestAnimationFrame(() => setTimeout(done))
})

/**
 * Whether the drawing of the open wall stands, or there is nothing yet to draw it by: whatever it does without is
 * fetched from then on.
 */
export const useDrawingStands = createSharedComposable(() => {
  const store = useWallStore()
  const { drawn, failed, kept } = useWallPlan()
  const stands = ref(false)
  const nothingKept = computed(() => store.wall !== undefined && kept.value === undefined)
  whenever(() => drawn.value !== undefined || failed.value !== undefined || nothingKept.value, async () => {
    await nextTick()
    await painted()
    if (!stands.value && drawn.value) performance.mark(DRAWN)
    stands.value = true
  }, { immediate: true })
  return stands
})
