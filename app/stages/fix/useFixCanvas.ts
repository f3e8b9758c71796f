import type { Canvas } from '../stage'

/** How the drawing is in Fix. */
export function useFixCanvas(): ComputedRef<Canvas> {
  const { holes } = useTape()
  return computed(() => ({ showPlates: true, tape: holes.value }))
}
