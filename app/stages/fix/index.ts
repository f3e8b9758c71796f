import type { Canvas, StageRoom } from '../stage'

const bench = () => import('./FixBench.vue')
const ledger = () => import('../../components/ledger/MarkLedger.vue')

function useCanvas(): ComputedRef<Canvas> {
  const { holes } = useTape()
  return computed(() => ({ showPlates: true, tape: holes.value }))
}

/** Fix: what holds it, screw by screw. */
export const fixStage: StageRoom = {
  id: 'fix', title: 'Fix', does: 'Fasteners and loads',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), useCanvas,
  parts: [bench, ledger, () => import('./FixCharts.vue')],
}
