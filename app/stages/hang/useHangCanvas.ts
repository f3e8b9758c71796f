import type { Canvas } from '../stage'

/** How the drawing is in Hang. */
export function useHangCanvas(): ComputedRef<Canvas> {
  const { selected, selectedOf } = useSelection()
  const current = useCurrentHole()
  watch(selected, () => { current.value = selectedOf('hole') ?? current.value })
  const { holes } = useTape(() => current.value)
  const { change, edited } = useAnswer()
  return computed(() => ({
    showPlates: true, tape: holes.value, current: current.value,
    moves: edited.value ? undefined : change.value?.marks,
  }))
}
