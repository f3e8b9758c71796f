import type { StageRoom } from '../stage'

const canvas = () => import('./useMarkCanvas').then(({ useMarkCanvas }) => useMarkCanvas)
const bench = () => import('./MarkBench.vue')
const ledger = () => import('./EveryMarkLedger.vue')
const sheet = () => import('./SheetPreview.vue')

/** Mark: the sheet that goes to the wall. */
export const markStage: StageRoom = {
  id: 'mark', title: 'Mark', does: 'Mark-out sheets and revisions',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), canvas, onlyCurrent: true,
  parts: [canvas, bench, ledger, sheet],
}
