import type { StageRoom } from '../stage'

const canvas = () => import('./useMountCanvas').then(({ useMountCanvas }) => useMountCanvas)
const bench = () => import('./MountBench.vue')
const ledger = () => import('../../components/ledger/MarkLedger.vue')

/** Mount: where each plate goes, and into what. */
export const mountStage: StageRoom = {
  id: 'mount', title: 'Mount', does: 'Plate positions and studs',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), canvas,
  parts: [
    canvas, bench, ledger, () => import('./DepthSection.vue'), () => import('./RemediesPanel.vue'),
    () => import('./DepthPanel.vue'),
  ],
}
