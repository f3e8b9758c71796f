import type { StageRoom } from '../stage'

const canvas = () => import('./useWireCanvas').then(({ useWireCanvas }) => useWireCanvas)
const bench = () => import('./WireBench.vue')
const ledger = () => import('./WireLedger.vue')

/** Wire: which circuit and player feed which screen, where the boxes go, and the ways and cables to them. */
export const wireStage: StageRoom = {
  id: 'wire',
  title: 'Wire',
  does: 'Circuits, boxes, routes, cables',
  bench: defineAsyncComponent(bench),
  ledger: defineAsyncComponent(ledger),
  canvas,
  parts: [
    canvas,
    bench,
    ledger,
    () => import('./PowerPanel.vue'),
    () => import('./OneLineView.vue'),
    () => import('./BoxesPanel.vue'),
    () => import('./RoutesPanel.vue'),
    () => import('./SchedulePanel.vue'),
  ],
}
