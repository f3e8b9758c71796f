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
const NOT_FROZEN: Pick<WallPlan, 'runs' | 'unexplained' | 'shared' | 'uncheckedReferences'> = { runs: [], unexplained: [], shared: [], uncheckedReferences: [] }

/** Walls with more screens than this cannot be drawn anew in a frame. */
const DRAWN_AT_ONCE = 24

/**
 * The plan of the wall that is shown, calculated in a worker; or, while a revision is read, what was frozen in it.
 * Only the newest wall is planned:
 * while one plan is under way, walls in between are passed over.
 */
export const useWallPlan = createSharedComposable(() => {
  const store = useWallStore()
  const live = shallowRef<WallPlan>()
  /** The wall that the plan of the moment belongs to; a frame behind the wall that is shown. */
  const liveWall = shallowRef<Wall>()
  /** The revision that is read in the place of the plan of the moment: at the wall nothing else is. */
  const reading = shallowRef<Frozen>()
  const plan = computed((): WallPlan | undefined => reading.value ? { ...NOT_FROZEN, ...live.value, ...reading.value.plan } : live.value)
  const planned = computed(() => reading.value?.wall ?? liveWall.value)
  const { kept, drawn, isKept } = useKeptDrawing(() => plan.value)
  const failed = ref<string>()
  /** Plates and holes of a large wall under the hand, which follow it all the while; all else waits until it rests. */
  const placed = shallowRef<Placed[]>()
  const worker = new Worker(new URL('../workers/planner.worker.ts', import.meta.url), { type: 'module' })
  const planner: Remote<Planner> = wrap<Planner>(worker)
  let busy = false

  /** What stands by the log, what was recorded just now included; and what the plan knew of it. */
  const built = computed(() => asBuilt(store.allLog, store.wallRecord))
  const plannedBuilt = shallowRef<AsBuilt>(NOTHING_BUILT)
  /** What it is planned with beside itself, and what the plan was made with. */
  const context = usePlanContext()
  const plannedContext = shallowRef<PlanContext>()

  const openWall = () => `${store.site}/${store.id}`

  async function replan() {
    const [wall, stands, along, of] = [store.shown, built.value, context.value, openWall()]
    if (busy || !wall) return
    busy = true
    try {
      if (follows.value && store.preview !== undefined && behind.value) {
        placed.value = await planner.placed(wall, along, stands)
      }
      else {
        const plan = await planner.plan(wall, along, stands)
        if (of === openWall()) {
          live.value = share(live.value, plan)
          liveWall.value = wall
          plannedBuilt.value = stands
          plannedContext.value = along
          placed.value = undefined
        }
      }
      failed.value = undefined
    }
    catch (error) {
      failed.value = (error as Error).message
    }
    busy = false
    if ((store.shown !== wall || built.value !== stands || context.value !== along) && !waits()) await replan()
  }
  /**
   * Whether the arrays that are shown are not yet those that the plan is of, on a wall with many
   * screens: they are then drawn plain, and while a hand is on them the plan waits until it rests.
   */
  const behind = computed(() => {
    const wall = store.shown
    return wall !== undefined && liveWall.value !== undefined && reading.value === undefined && (wall.arrays !== liveWall.value.arrays || wall.alternative !== liveWall.value.alternative)
      && store.arrays.reduce((sum, { rows, columns }) => sum + rows * columns, 0) > DRAWN_AT_ONCE
  })
  /**
   * Whether the plan follows a hand on the wall all the while, and does not wait until it rests: where plates are what
   * is looked at.
   */
  const follows = ref(false)
  const waits = () => store.preview !== undefined && behind.value && !follows.value
  const replanAtRest = useDebounceFn(replan, RESTS)
  // The plan of one wall is never drawn on another.
  watch(openWall, () => { live.value = liveWall.value = placed.value = reading.value = undefined }, { flush: 'sync' })
  watch([() => store.shown, built, context], () => waits() ? replanAtRest() : replan(), { immediate: true })
  onScopeDispose(() => worker.terminate())

  /**
   * What the plan that is shown is held against: a revision, or a kept plan, against all that is recorded, a plan
   * against what it knew.
   */
  const stood = computed(() => reading.value || isKept.value ? built.value : plannedBuilt.value)
  const { drilled, unused, steps } = usePlannedHoles(() => plan.value, () => drawn.value, () => stood.value)
  /** Findings are those of the moment, whatever is read. */
  const findings = computed(() => live.value?.findings ?? [])
  /** Whether the plan of the moment is that of the wall and the log as they stand now. */
  const upToDate = computed(() =>
    liveWall.value === store.shown && plannedBuilt.value === built.value && plannedContext.value === context.value)
  return {
    plan, planned, kept, drawn, isKept, live, liveWall, reading, upToDate, placed, built, context, follows, behind, failed,
    drilled, unused, findings, steps,
  }
})
