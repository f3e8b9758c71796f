import { wrap, type Remote } from 'comlink'
import { createSharedComposable, useDebounceFn } from '@vueuse/core'
import type { WallPlan } from '~~/core/plan'
import type { PlanContext, Wall } from '~~/core/job'
import { asBuilt, NOTHING_BUILT, type AsBuilt } from '~~/core/log'
import type { Placed } from '~~/core/mount'
import type { Frozen } from '~~/core/revision'
import type { Planner } from '~/workers/planner'

/** A hand that drags or types rests when nothing has come from it for so long, ms. */
const RESTS = 120
/** What of a plan is not frozen, until the plan of the moment is calculated: a revision can be read without it. */
const NOT_FROZEN: Pick<WallPlan, 'runs' | 'unexplained' | 'shared' | 'uncheckedReferences'> = {
  runs: [],
  unexplained: [],
  shared: [],
  uncheckedReferences: [],
}

/** Walls with more screens than this cannot be drawn anew in a frame. */
const DRAWN_AT_ONCE = 24

const hasOtherArrays = (wall: Wall | undefined, planned: Wall | undefined) =>
  wall !== undefined
  && planned !== undefined
  && (wall.arrays !== planned.arrays || wall.alternative !== planned.alternative)

/** What a plan is made of. */
interface PlannedOf { wall: Wall | undefined, built: AsBuilt, context: PlanContext }

/**
 * The plan of the wall that is shown, calculated in a worker; or, while a revision is read, what was frozen in it.
 * Only the newest wall is planned: while one plan is under way, walls in between are passed over.
 */
export const useWallPlan = createSharedComposable(() => {
  const store = useWallStore()
  const live = shallowRef<WallPlan>()
  /** What the plan of the moment was made of; the wall in it is a frame behind the wall that is shown. */
  const madeOf = shallowRef<PlannedOf>()
  const liveWall = computed(() => madeOf.value?.wall)
  /** The revision that is read in the place of the plan of the moment: at the wall nothing else is. */
  const reading = shallowRef<Frozen>()
  const plan = computed((): WallPlan | undefined =>
    reading.value ? { ...NOT_FROZEN, ...live.value, ...reading.value.plan } : live.value,
  )
  const planned = computed(() => reading.value?.wall ?? liveWall.value)
  const { kept, drawn, isKept } = useKeptDrawing(() => plan.value)
  const failed = ref<string>()
  /** Plates and holes of a large wall under the hand, which follow it all the while; all else waits until it rests. */
  const placed = shallowRef<Placed[]>()
  const worker = new Worker(new URL('../workers/planner.worker.ts', import.meta.url), { type: 'module' })
  const planner: Remote<Planner> = wrap<Planner>(worker)
  let busy = false

  /** What stands by the log, what was recorded just now included. */
  const built = computed(() => asBuilt(store.allLog, store.wallRecord))
  const context = usePlanContext()
  const current = computed((): PlannedOf => ({ wall: store.shown, built: built.value, context: context.value }))
  const openWall = () => `${store.site}/${store.id}`

  async function calculate(now: PlannedOf, wall: Wall) {
    if (follows.value && store.preview !== undefined && behind.value) {
      placed.value = await planner.placed(wall, now.context, now.built)
      return
    }
    const of = openWall()
    const plan = await planner.plan(wall, now.context, now.built)
    if (of !== openWall()) return
    live.value = share(live.value, plan)
    madeOf.value = now
    placed.value = undefined
  }
  async function replan() {
    const now = current.value
    if (busy || !now.wall) return
    busy = true
    failed.value = await calculate(now, now.wall).then(() => undefined, (error: Error) => error.message)
    busy = false
    if (current.value !== now && !waits()) await replan()
  }
  /**
   * Whether the arrays that are shown are not yet those that the plan is of, on a wall with many
   * screens: they are then drawn plain, and while a hand is on them the plan waits until it rests.
   */
  const behind = computed(() => reading.value === undefined && hasOtherArrays(store.shown, liveWall.value)
    && store.arrays.reduce((sum, { rows, columns }) => sum + rows * columns, 0) > DRAWN_AT_ONCE)
  /**
   * Whether the plan follows a hand on the wall all the while, and does not wait until it rests: where plates are what
   * is looked at.
   */
  const follows = ref(false)
  const waits = () => store.preview !== undefined && behind.value && !follows.value
  const replanAtRest = useDebounceFn(replan, RESTS)
  // The plan of one wall is never drawn on another.
  watch(openWall, () => { live.value = madeOf.value = placed.value = reading.value = undefined }, { flush: 'sync' })
  watch(current, () => waits() ? replanAtRest() : replan(), { immediate: true })
  onScopeDispose(() => worker.terminate())

  /**
   * What the plan that is shown is held against: a revision, or a kept plan, against all that is recorded, a plan
   * against what it knew.
   */
  const stood = computed(() => reading.value || isKept.value ? built.value : madeOf.value?.built ?? NOTHING_BUILT)
  const { drilled, unused, steps } = usePlannedHoles(() => plan.value, () => drawn.value, () => stood.value)
  /** Findings are those of the moment, whatever is read. */
  const findings = computed(() => live.value?.findings ?? [])
  /** Whether the plan of the moment is that of the wall and the log as they stand now. */
  const upToDate = computed(() => madeOf.value === current.value)
  return {
    plan, planned, kept, drawn, isKept, live, liveWall, reading, upToDate, placed, built, context, follows, behind,
    failed, drilled, unused, findings, steps,
  }
})
