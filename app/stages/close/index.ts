import type { Canvas, StageRoom } from '../stage'

const bench = () => import('./CloseBench.vue')
const ledger = () => import('./BuiltLedger.vue')
const TestPicture = defineAsyncComponent(() => import('./TestPicture.vue'))

function useCanvas(): ComputedRef<Canvas> {
  const { holes } = useTape()
  const { compared } = useClose()
  const { shown } = useTestPicture()
  const moves = computed(() => compared.value?.holes.flatMap(({ id, planned, made, off = 0 }) => made && off > 0.5 ? [{ hole: id, from: planned, to: made }] : []) ?? [])
  return computed(() => ({ showPlates: true, tape: holes.value, moves: moves.value, ...shown.value && { inPlace: TestPicture } }))
}

/** Close: as built against plan, serials and locks, handing over, and what comes in the years after. */
export const closeStage: StageRoom = {
  id: 'close', title: 'Close', does: 'Hand over, and keep',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), useCanvas,
  begun: ({ closing }) => closing > 0,
  settled: ({ signed }) => signed,
  parts: [bench, ledger],
}
