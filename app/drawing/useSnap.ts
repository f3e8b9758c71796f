import { snapLines, type Snapped } from '~~/core/arrange'
import type { ArrayPlan } from '~~/core/mount'

/** Lines that a dragged array has met, for the drawing to show; and the lines that it can meet. */
export function useSnap() {
  const met = useScreenState<Snapped['met']>('snap-met', () => [])
  const store = useWallStore()
  const { plan } = useWallPlan()
  const linesFor = ({ id }: ArrayPlan) =>
    snapLines(
      store.wall!,
      (plan.value?.arrays ?? []).filter(other => other.id !== id),
      plan.value?.members ?? [],
      plan.value?.coursing,
    )
  return { met, linesFor }
}
