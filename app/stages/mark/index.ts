import type { Canvas, StageRoom } from '../stage'

const bench = () => import('./MarkBench.vue')
const ledger = () => import('./EveryMarkLedger.vue')
const sheet = () => import('./SheetPreview.vue')
const SheetPreview = defineAsyncComponent(sheet)

function useCanvas(): ComputedRef<Canvas> {
  const { preview, compared } = useSheetView()
  const { difference } = useDifference(() => compared.value.from, () => compared.value.to)
  const { holes } = useTape()
  return computed(() => ({ showPlates: true, wiring: 'cut', tape: holes.value, moves: difference.value?.change.marks, inPlace: preview.value ? SheetPreview : undefined }))
}

/** Mark: the sheet that goes to the wall. */
export const markStage: StageRoom = {
  id: 'mark', title: 'Mark', does: 'Mark-out sheets and revisions',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), useCanvas,
  parts: [bench, ledger, sheet],
}
