import type { StageRoom } from '../stage'

const canvas = () => import('./useCloseCanvas').then(({ useCloseCanvas }) => useCloseCanvas)
const bench = () => import('./CloseBench.vue')
const ledger = () => import('./BuiltLedger.vue')

/** Close: as built against plan, serials and locks, handing over, and what comes in the years after. */
export const closeStage: StageRoom = {
  id: 'close', title: 'Close', does: 'Handover and service',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), canvas,
  parts: [canvas, bench, ledger],
}
