import type { Canvas, StageRoom } from '../stage'

const bench = () => import('./HangBench.vue')
const ledger = () => import('../../components/ledger/MarkLedger.vue')

function useCanvas(): ComputedRef<Canvas> {
  const { selected, selectedOf } = useSelection()
  const current = useCurrentHole()
  watch(selected, () => { current.value = selectedOf('hole') ?? current.value })
  const { holes } = useTape(() => current.value)
  const { change, edited } = useAnswer()
  return computed(() => ({ showPlates: true, tape: holes.value, current: current.value, moves: edited.value ? undefined : change.value?.marks }))
}

/** Hang: from the kit to the last lock, and hole by hole with what the drill met. */
export const hangStage: StageRoom = {
  id: 'hang', title: 'Hang', does: 'Steps, holes and drilling results',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), useCanvas,
  parts: [bench, ledger],
}
