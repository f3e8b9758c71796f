import { resultBefore } from '~~/core/hang'
import type { MadeHole } from '~~/core/log'
import type { Hole } from '~~/core/mount'

/** What a photo is of: a hole, and the result that was recorded there when it was taken. */
export interface PhotoOf { hole: Pick<Hole, 'id' | 'x' | 'y'>, entry: string | undefined }

/**
 * The note and the photo that go with the next result of each hole, kept until that is recorded. A photo that was
 * still being stored when this person recorded the result is added to it.
 */
export function useHoleDraft(current: Ref<string>) {
  const store = useWallStore()
  const { built } = useWallPlan()
  const { name: me } = useMe()
  const drafts = useScreenState<Record<string, { note?: string, photo?: string }>>('hole-drafts', () => ({}))
  const draftOf = (hole: string) => drafts.value[hole] ??= {}
  const note = computed({
    get: () => drafts.value[current.value]?.note ?? '',
    set: (text) => { draftOf(current.value).note = text },
  })
  const picture = computed(() => drafts.value[current.value]?.photo)
  const done = () => { drafts.value[current.value] = {} }
  function addTo({ hole, x, y, result, note, entry }: MadeHole, photo: string): string {
    return store
      .record({ kind: 'hole', hole, x, y, result, corrects: entry, ...note !== undefined && { note }, photo })
      .map(({ message }) => `The photo ${message}.`)
      .join(' ')
  }
  /** @returns what is wrong, in words; then the photo waits for the next result */
  function takePhoto(photo: string, { hole, entry }: PhotoOf): string {
    const own = resultBefore(hole, { by: me.value }, built.value)
    // What another recorded meanwhile is theirs: the photo waits for this person's result.
    const isAdded = own !== undefined && own.by === me.value && own.entry !== entry
    const fault = isAdded ? addTo(own, photo) : ''
    if (!isAdded || fault) draftOf(hole.id).photo = photo
    return fault
  }
  return { note, picture, done, takePhoto }
}
