import type { Canvas, StageRoom } from '../stage'

const bench = () => import('./TrueBench.vue')
const ledger = () => import('./SeamLedger.vue')

function useCanvas(): ComputedRef<Canvas> {
  const { members } = useTape()
  const seams = useSeamDrawing()
  return computed(() => ({ tape: members.value, ...seams.value && { seams: seams.value } }))
}

/** True: seams and faces closed, by turns of each adjuster. */
export const trueStage: StageRoom = {
  id: 'true', title: 'True', does: 'Seam readings and adjuster turns',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), useCanvas,
  parts: [bench, ledger],
}
