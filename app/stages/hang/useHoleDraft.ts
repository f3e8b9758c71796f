import { resultBefore, resultSaid } from '~~/core/hang'
import type { Hole } from '~~/core/mount'

/** What a photo is of: a hole, and the result that was recorded there when it was taken. */
export interface PhotoOf { hole: Pick<Hole, 'id' | 'x' | 'y'>, entry: string | undefined }

/**
 * The note and the photo that go with the next result of each hole, kept until that is recorded. A photo that was
 * still being stored when the result was recorded is added to that result.
 */
export function useHoleDraft(current: Ref<string>) {
  const store = useWallStore()
  const { plan, built } = useWallPlan()
  const { name: me } = useMe()
  const drafts = useScreenState<Record<string, { note?: string, photo?: string }>>('hole-drafts', () => ({}))
  const draftOf = (hole: string) => drafts.value[hole] ??= {}
  const note = computed({
    get: () => drafts.value[current.value]?.note ?? '',
    set: (text) => { draftOf(current.value).note = text },
  })
  const picture = computed(() => drafts.value[current.value]?.photo)
  const done = () => { drafts.value[current.value] = {} }
  function takePhoto(photo: string, { hole, entry }: PhotoOf) {
    const result = resultBefore(hole, { by: me.value }, built.value)
    if (!result || result.entry === entry) return void (draftOf(hole.id).photo = photo)
    const turn = plan.value?.marking.levelLine?.turn
    store.record(resultSaid(hole, result.result, turn, result, { note: result.note, photo }))
  }
  return { note, picture, done, takePhoto }
}
