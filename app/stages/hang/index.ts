import type { StageRoom } from '../stage'

const canvas = () => import('./useHangCanvas').then(({ useHangCanvas }) => useHangCanvas)
const bench = () => import('./HangBench.vue')
const ledger = () => import('../../components/ledger/MarkLedger.vue')

/** Hang: from the kit to the last lock, and hole by hole with what the drill met. */
export const hangStage: StageRoom = {
  id: 'hang', title: 'Hang', does: 'Steps, holes and drilling results',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), canvas, onlyCurrent: true,
  parts: [canvas, bench, ledger],
}
