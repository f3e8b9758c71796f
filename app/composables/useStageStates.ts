import type { Stage } from '~~/core/finding'
import { waitOf } from '~~/core/plan/waits'
import { ROOMS } from '~/stages'

export type StageState = 'not started' | 'in hand' | 'waits' | 'stop' | 'caution' | 'settled'

/** How each stage of the wall stands, from what was entered and what was found. */
export function useStageStates() {
  const store = useWallStore()
  const { plan, findings, drilled, steps } = useWallPlan()
  return computed(() => (stage: Stage): StageState => {
    const room = ROOMS.find(({ id }) => id === stage)
    const now = { wall: store.wall, plan: plan.value, findings: findings.value, drilled: drilled.value, steps: steps.value, issued: store.revisions.length > 0 }
    const here = findings.value.filter(finding => finding.stage === stage)
    if (here.some(({ severity }) => severity === 'stop')) return 'stop'
    if (waitOf(stage, findings.value)) return 'waits'
    if (!room?.begun(now)) return 'not started'
    if (here.some(({ severity }) => severity === 'caution')) return 'caution'
    return room.settled(now) ? 'settled' : 'in hand'
  })
}
