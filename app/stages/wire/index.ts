import type { Canvas, StageRoom } from '../stage'

const bench = () => import('./WireBench.vue')
const ledger = () => import('./WireLedger.vue')

function useCanvas(): ComputedRef<Canvas> {
  const { holes } = useTape()
  const { panel, stopping } = useWire()
  const { movingBox, moved } = useBoxDrag()
  return computed(() => ({
    showPlates: true, wiring: true, tape: holes.value, movable: panel.value === 'boxes' ? 'boxes' : undefined, movingBox, moved,
    draws: panel.value === 'routes' && stopping.value ? 'point' : undefined,
  }))
}

/** Wire: which circuit and player feed which screen, where the boxes go, and the ways and cables to them. */
export const wireStage: StageRoom = {
  id: 'wire', title: 'Wire', does: 'Circuits, boxes, routes, cables',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), useCanvas,
  parts: [bench, ledger, () => import('./PowerPanel.vue'), () => import('./BoxesPanel.vue'), () => import('./RoutesPanel.vue'), () => import('./SchedulePanel.vue')],
}
