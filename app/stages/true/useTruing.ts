import { createSharedComposable } from '@vueuse/core'
import { lastSeams, trueScreens, type Alignment, type End } from '~~/core/true'
import { Cancelled } from '~/workers/pool'
import { useStudies } from '~/workers/useStudies'

/** An end of a seam, in the order in which a person walks along them: what is read there, as it is typed. */
export interface SeamEnd { key: string, between: [string, string], end: End, label: string, target: number }

/** By which ids entries name the wall; what was frozen of it is not sent along. */
const namesOf = ({ id, formerId }: { id: string, formerId?: string }) => ({ id, ...formerId !== undefined && { formerId } })
const said = (name: string) => name.toUpperCase().replace('C', ' C')

/** Truing the array that is worked on: the ends of its seams in order, what was read last, and the moves that close them. */
export const useTruing = createSharedComposable(() => {
  const store = useWallStore()
  const { plan, planContext } = useWallPlan()
  const studies = useStudies()
  const array = computed(() => store.array)
  const arrayPlan = computed(() => plan.value?.arrays.find(({ id }) => id === array.value?.id))
  const screens = computed(() => array.value && arrayPlan.value ? trueScreens(array.value, arrayPlan.value, store.catalogue, new Map()) : [])
  const ends = computed<SeamEnd[]>(() => {
    const at = new Map(screens.value.map(({ name, row, column }) => [`${row} ${column}`, name]))
    const gap = array.value?.gap ?? { x: 0, y: 0 }
    const end = (a: string, b: string | undefined, ends: End[], target: number): SeamEnd[] => b === undefined ? [] : ends.map(end => ({ key: `${a} ${b} ${end}`, between: [a, b], end, target, label: `${said(a)} | ${said(b)}, ${end}` }))
    // Row by row; in a row the upright seams from the left, then the level ones below it back from the right: nothing is walked twice.
    const rows = [...new Set(screens.value.map(({ row }) => row))].sort((a, b) => a - b)
    return rows.flatMap((row) => {
      const columns = screens.value.filter(screen => screen.row === row).map(({ column }) => column).sort((a, b) => a - b)
      return [
        ...columns.flatMap(column => end(at.get(`${row} ${column}`)!, at.get(`${row} ${column + 1}`), ['top', 'bottom'], gap.x)),
        ...[...columns].reverse().flatMap(column => end(at.get(`${row} ${column}`)!, at.get(`${row + 1} ${column}`), ['right', 'left'], gap.y)),
      ]
    })
  })
  const last = computed(() => array.value && lastSeams(store.allLog, store.wallRecord, array.value.id))
  const alignment = shallowRef<Alignment>()
  const failed = ref('')
  const working = ref(false)
  watch([() => store.allLog, array, arrayPlan], async ([log, now, planned], _before, onCleanup) => {
    const outdated = new AbortController()
    onCleanup(() => outdated.abort())
    failed.value = ''
    if (!now || !planned || !last.value) {
      alignment.value = undefined
      return
    }
    working.value = true
    try {
      alignment.value = await studies.run(api => api.align(toRaw(now), toRaw(planned), namesOf(store.wallRecord), toRaw(log), planContext()), outdated.signal)
    }
    catch (error) {
      if (!(error instanceof Cancelled)) failed.value = (error as Error).message
    }
    if (!outdated.signal.aborted) working.value = false
  }, { immediate: true })
  return { array, screens, ends, last, alignment, failed, working }
})
