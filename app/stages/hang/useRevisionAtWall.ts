import { createGlobalState, useLocalStorage } from '@vueuse/core'
import type { Frozen, Revision } from '~~/core/revision'
import { wallKey } from '~/sync/device'

/** A revision with what was frozen in it. */
type AtHand = Revision & { frozen: Frozen }

/** By wall: the revision that was worked from here last; the same for everything on the page. */
const useSeen = createGlobalState(() => useLocalStorage<Record<string, string>>('wide-trellis:revision', {}))

/**
 * The revision that is worked from on this device: the last one, once anyone who works here has seen that it is another
 * than before.
 */
export function useRevisionAtWall() {
  const store = useWallStore()
  const seen = useSeen()
  const key = computed(() => wallKey(store.site, store.id))
  const last = computed(() => store.revisions.at(-1))
  const atHand = (id: string | undefined): AtHand | undefined =>
    store.revisions.find((each): each is AtHand => each.id === id && each.frozen !== undefined)
  const before = computed(() => atHand(seen.value[key.value]))
  /** What is worked from: what was seen here last, or, where that is none or was withdrawn, the last one. */
  const current = computed(() => before.value ?? atHand(last.value?.id))
  /** One that was issued since by a person, and that nobody here has looked at yet. */
  const newer = computed(() => before.value && last.value?.id !== before.value.id ? atHand(last.value?.id) : undefined)
  const accept = (id: string) => { seen.value = { ...seen.value, [key.value]: id } }
  watch(current, (now) => {
    if (now?.id && !before.value) accept(now.id)
  }, { immediate: true })
  return { current, newer, last, accept }
}
