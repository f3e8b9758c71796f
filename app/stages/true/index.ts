import type { StageRoom } from '../stage'

const canvas = () => import('./useTrueCanvas').then(({ useTrueCanvas }) => useTrueCanvas)
const bench = () => import('./TrueBench.vue')
const ledger = () => import('./SeamLedger.vue')

/** True: seams and faces closed, by turns of each adjuster. */
export const trueStage: StageRoom = {
  id: 'true', title: 'True', does: 'Seam readings and adjuster turns',
  bench: defineAsyncComponent(bench), ledger: defineAsyncComponent(ledger), canvas,
  parts: [canvas, bench, ledger],
}
