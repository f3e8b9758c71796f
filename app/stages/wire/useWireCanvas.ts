import type { Canvas } from '../stage'

/** How the drawing is in Wire. */
export function useWireCanvas(): ComputedRef<Canvas> {
  const { holes } = useTape()
  const { panel, stopping } = useWire()
  const { movingBox, moved } = useBoxDrag()
  return computed(() => ({
    showPlates: true, wiring: true, tape: holes.value, movable: panel.value === 'boxes' ? 'boxes' : undefined,
    movingBox, moved,
    draws: panel.value === 'routes' && stopping.value ? 'point' : undefined,
  }))
}
