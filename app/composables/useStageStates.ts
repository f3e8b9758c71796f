import { recordOf } from '~~/core/close/record'
import type { Stage } from '~~/core/finding'
import { waitOf } from '~~/core/plan/waits'
import { chosenFigure } from '~~/core/rules'
import { isTrued } from '~~/core/true/seam'
import { ROOMS } from '~/stages'

export type StageState = 'not started' | 'in hand' | 'waits' | 'stop' | 'caution' | 'settled'

/** How each stage of the wall stands, from what was entered and what was found. */
export function useStageStates() {
  const store = useWallStore()
  const { plan, findings, drilled, steps, built } = useWallPlan()
  /** Whether the seams of every array that has any were read within the tolerance, at last. */
  const trued = computed(() => store.arrays.every(({ id, rows, columns, gap }) => {
    const read = built.value.seams.find(({ array }) => array === id)
    return rows * columns < 2 || (read !== undefined && isTrued(read, gap, chosenFigure('seamTolerance', store.rules, store.siteUnits)))
  }))
  /** What was recorded of handing over. */
  const closing = computed(() => store.allLog.filter(({ kind }) => ['serial', 'locked', 'tested', 'point', 'signed', 'visit'].includes(kind)))
  /** Whether the wall was signed for with every screen that hangs locked, and nothing stopping it. */
  const signed = computed(() => {
    const { signatures, locked } = recordOf(store.allLog, store.wallRecord)
    return signatures.length > 0 && built.value.hung.every(id => locked.has(id)) && !findings.value.some(({ severity }) => severity === 'stop')
  })
  return computed(() => (stage: Stage): StageState => {
    const room = ROOMS.find(({ id }) => id === stage)
    const now = { wall: store.wall, plan: plan.value, findings: findings.value, drilled: drilled.value, steps: steps.value, issued: store.revisions.length > 0, read: built.value.seams.length, trued: trued.value, closing: closing.value.length, signed: signed.value }
    const here = findings.value.filter(finding => finding.stage === stage)
    if (here.some(({ severity }) => severity === 'stop')) return 'stop'
    if (waitOf(stage, findings.value)) return 'waits'
    if (!room?.begun(now)) return 'not started'
    if (here.some(({ severity }) => severity === 'caution')) return 'caution'
    return room.settled(now) ? 'settled' : 'in hand'
  })
}
