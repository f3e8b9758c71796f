import type { Canvas, StageRoom, Standing } from '../stage'

const bench = () => import('./WireBench.vue')
const ledger = () => import('./WireLedger.vue')

function useCanvas(): ComputedRef<Canvas> {
  const { holes } = useTape()
  return computed(() => ({ showPlates: true, wiring: true, tape: holes.value }))
}

const begun = ({ wall }: Standing) => (wall?.sources?.length ?? 0) > 0 || (wall?.boxes?.length ?? 0) > 0

/** Wire: which circuit feeds which screen, and where the boxes go. */
export const wireStage: StageRoom = {
  id: 'wire', title: 'Wire', does: 'Circuits, boxes, and the way through the wall',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), useCanvas, begun,
  settled: now => begun(now) && (now.plan?.wiring.left.length ?? 1) === 0 && (now.plan?.wiring.boxes.every(({ held }) => held) ?? false),
  parts: [bench, ledger, () => import('./PowerPanel.vue'), () => import('./BoxesPanel.vue'), () => import('./RoutesPanel.vue')],
}
