import type { StageRoom } from '../stage'

const canvas = () => import('./useFixCanvas').then(({ useFixCanvas }) => useFixCanvas)
const bench = () => import('./FixBench.vue')
const ledger = () => import('../../components/ledger/MarkLedger.vue')

/** Fix: what holds it, screw by screw. */
export const fixStage: StageRoom = {
  id: 'fix', title: 'Fix', does: 'Fasteners and loads',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), canvas,
  parts: [canvas, bench, ledger, () => import('./FixCharts.vue')],
}
