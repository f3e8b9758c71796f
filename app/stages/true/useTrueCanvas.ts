import type { Canvas } from '../stage'

/** How the drawing is in True. */
export function useTrueCanvas(): ComputedRef<Canvas> {
  const { members } = useTape()
  const seams = useSeamDrawing()
  return computed(() => ({ tape: members.value, ...seams.value && { seams: seams.value } }))
}
