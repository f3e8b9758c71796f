import type { Canvas, StageRoom, Standing } from '../stage'

const bench = () => import('./FixBench.vue')
const ledger = () => import('../../components/ledger/MarkLedger.vue')

function useCanvas(): ComputedRef<Canvas> {
  const { holes } = useTape()
  return computed(() => ({ showPlates: true, tape: holes.value }))
}

const begun = ({ plan }: Standing) => plan?.arrays.some(({ positions }) => positions.some(({ loads }) => loads)) ?? false

/** Fix: what holds it, screw by screw. */
export const fixStage: StageRoom = {
  id: 'fix', title: 'Fix', does: 'What holds it, screw by screw',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), useCanvas, begun, settled: begun,
  parts: [bench, ledger, () => import('./FixCharts.vue')],
}
