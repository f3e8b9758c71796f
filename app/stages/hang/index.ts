import type { Canvas, StageRoom } from '../stage'

const bench = () => import('./HangBench.vue')
const ledger = () => import('../../components/ledger/MarkLedger.vue')

function useCanvas(): ComputedRef<Canvas> {
  const { selected, selectedOf } = useSelection()
  const current = useCurrentHole()
  watch(selected, () => { current.value = selectedOf('hole') ?? current.value })
  const { holes } = useTape(() => current.value)
  const { answer } = useAnswer()
  return computed(() => ({ showPlates: true, tape: holes.value, current: current.value, moves: answer.value?.change.marks }))
}

/** Hang: hole by hole, with what the drill met. */
export const hangStage: StageRoom = {
  id: 'hang', title: 'Hang', does: 'Hole by hole, with what the drill met',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), useCanvas,
  begun: ({ drilled }) => drilled.size > 0,
  settled: ({ steps, drilled }) => steps.length > 0 && steps.every(({ hole }) => drilled.has(hole.id)),
  parts: [bench, ledger],
}
