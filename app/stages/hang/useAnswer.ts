import { waitingHoles } from '~~/core/hang'
import { same, arraysOf } from '~~/core/job'
import type { MadeHole } from '~~/core/log'

/**
 * What follows from holes that were not as planned: the plan of the moment against the revision that is worked from.
 */
export function useAnswer() {
  const store = useWallStore()
  const { live, upToDate, built } = useWallPlan()
  const { current } = useRevisionAtWall()
  /** The last result that differed, until it is answered. */
  const asked = useScreenState<{ hole: string, result: MadeHole['result'] } | undefined>('hang-asked', () => undefined)
  const change = computed(() => upToDate.value ? live.value?.change : undefined)
  const moves = computed(
    () =>
      change.value !== undefined
      && change.value.marks.length
      + change.value.plates.length
      + change.value.added.length
      + change.value.dropped.length
      > 0,
  )
  /** Whether the wall itself was decided otherwise since, so that more moves than what the drill met. */
  const edited = computed(() => {
    const frozen = current.value?.frozen.wall
    return frozen !== undefined && store.wall !== undefined && !same(frozen.arrays, arraysOf(store.wall))
  })
  const drilledAnew = computed(
    () =>
      asked.value !== undefined
      && live.value?.dead.some(({ hole, result }) => hole === asked.value!.hole && result === asked.value!.result),
  )
  /** Whether something is to be answered: a new revision, or what was met at a hole. */
  const open = computed(() => (moves.value && !edited.value) || drilledAnew.value === true)
  const waiting = computed(() =>
    open.value && change.value
      ? waitingHoles(change.value, current.value?.frozen.plan.arrays ?? [], asked.value?.hole)
      : new Set<string>(),
  )
  return {
    asked,
    change,
    moves,
    edited,
    /** The hole that serves nothing any more, with what fills it. */
    dead: computed(() =>
      live.value?.dead.find(({ hole, result }) => hole === asked.value?.hole && result === asked.value.result),
    ),
    open,
    /** Whether a hole is not to be drilled before the answer; all others go on. */
    waits: (hole: string | undefined) => hole !== undefined && waiting.value.has(hole),
    ask: (hole: string, result: MadeHole['result']) => {
      asked.value = { hole, result }
    },
    close: () => {
      asked.value = undefined
    },
    /** Whether it is still being calculated. */
    isCalculating: computed(
      () =>
        asked.value !== undefined
        && drilledAnew.value !== true
        && built.value.dead.some(({ hole }) => hole === asked.value!.hole),
    ),
  }
}
