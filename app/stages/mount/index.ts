import type { Canvas, StageRoom } from '../stage'

const bench = () => import('./MountBench.vue')
const ledger = () => import('../../components/ledger/MarkLedger.vue')
const depth = () => import('./DepthSection.vue')
const DepthSection = defineAsyncComponent(depth)

function useCanvas(): ComputedRef<Canvas> {
  const store = useWallStore()
  const panel = useMountPanel()
  const { holes } = useTape()
  const { movingArray, moved } = useArrayDrag()
  return computed(() => ({
    showPlates: true, tape: holes.value, movable: store.conflict ? undefined : 'arrays', movingArray, moved,
    inPlace: panel.value === 'depth' && store.array ? DepthSection : undefined,
  }))
}

/** Mount: where each plate goes, and into what. */
export const mountStage: StageRoom = {
  id: 'mount', title: 'Mount', does: 'Plate positions and studs',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), useCanvas,
  parts: [bench, ledger, depth, () => import('./RemediesPanel.vue'), () => import('./DepthPanel.vue')],
}
