import type { StageRoom } from '../stage'

const canvas = () => import('./useArrangeCanvas').then(({ useArrangeCanvas }) => useArrangeCanvas)
const bench = () => import('./ArrangeBench.vue')
const ledger = () => import('./ScreenLedger.vue')

/** Arrange: which displays, how many, and where. The stage that is opened first on most walls. */
export const arrangeStage: StageRoom = {
  id: 'arrange', title: 'Arrange', does: 'Displays, number and position',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), canvas,
  parts: [
    canvas, bench, ledger, () => import('./AlternativesView.vue'), () => import('./PicturePanel.vue'),
    () => import('./ViewersPanel.vue'), () => import('./ScreenPanel.vue'), () => import('./ArraysPanel.vue'),
    () => import('../../drawing/DraftPicture.vue'),
  ],
}
