import type { Canvas } from '../stage'

const AlternativesView = defineAsyncComponent(() => import('./AlternativesView.vue'))

/** How the drawing is in Arrange. */
export function useArrangeCanvas(): ComputedRef<Canvas> {
  const store = useWallStore()
  const { comparing } = useComparison()
  const { holes } = useTape()
  const { movingArray, moved } = useArrayDrag()
  return computed(() => ({
    tape: holes.value, movable: store.conflict ? undefined : 'arrays', movingArray, moved,
    inPlace: comparing.value && store.wall?.alternatives ? AlternativesView : undefined,
  }))
}
