import type { Canvas } from '../stage'

const OneLineView = defineAsyncComponent(() => import('./OneLineView.vue'))

/** How the drawing is in Wire. */
export function useWireCanvas(): ComputedRef<Canvas> {
  const { holes } = useTape()
  const { panel, stopping, oneLine } = useWire()
  const { movingBox, moved } = useBoxDrag()
  return computed(() => ({
    showPlates: true, wiring: true, tape: holes.value, movable: panel.value === 'boxes' ? 'boxes' : undefined,
    movingBox, moved,
    inPlace: panel.value === 'power' && oneLine.value ? OneLineView : undefined,
    draws: panel.value === 'routes' && stopping.value ? 'point' : undefined,
  }))
}
