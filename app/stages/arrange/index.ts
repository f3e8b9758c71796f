import type { Canvas, StageRoom } from '../stage'
import ArrangeBench from './ArrangeBench.vue'
import ScreenLedger from './ScreenLedger.vue'

const alternatives = () => import('./AlternativesView.vue')
const AlternativesView = defineAsyncComponent(alternatives)

function useCanvas(): ComputedRef<Canvas> {
  const store = useWallStore()
  const { comparing } = useComparison()
  const { holes } = useTape()
  const { movingArray, moved } = useArrayDrag()
  return computed(() => ({
    tape: holes.value, movable: store.conflict ? undefined : 'arrays', movingArray, moved,
    inPlace: comparing.value && store.wall?.alternatives ? AlternativesView : undefined,
  }))
}

/**
 * Arrange: which displays, how many, and where. The stage that is opened first on most walls: its bench is not fetched
 * by itself.
 */
export const arrangeStage: StageRoom = {
  id: 'arrange', title: 'Arrange', does: 'Displays, number and position',
  bench: ArrangeBench, ledger: ScreenLedger, useCanvas,
  parts: [alternatives, () => import('./PicturePanel.vue'), () => import('./ViewersPanel.vue'), () => import('./ScreenPanel.vue'), () => import('./ArraysPanel.vue'), () => import('../../drawing/DraftPicture.vue')],
}
