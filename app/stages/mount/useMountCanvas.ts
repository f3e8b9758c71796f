import type { Canvas } from '../stage'

const DepthSection = defineAsyncComponent(() => import('./DepthSection.vue'))

/** How the drawing is in Mount. */
export function useMountCanvas(): ComputedRef<Canvas> {
  const store = useWallStore()
  const panel = useMountPanel()
  const { holes } = useTape()
  const { movingArray, moved } = useArrayDrag()
  return computed(() => ({
    showPlates: true, tape: holes.value, movable: store.conflict ? undefined : 'arrays', movingArray, moved,
    inPlace: panel.value === 'depth' && store.array ? DepthSection : undefined,
  }))
}
