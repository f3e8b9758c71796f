import { createSharedComposable, useLocalStorage } from '@vueuse/core'
import type { ComputedRef } from 'vue'
import { seamFault, type TrueScreen } from '~~/core/true'
import type { Text } from '~~/core/units'
import { wallKey } from '~/sync/device'
import { isSeam, placesOf, type Place } from './places'
import { typedFigure, type ReadingKind } from './typedFigure'

/** What is typed at a place; `simulated` where a practice instrument read any of it. */
type Typed = Partial<Record<ReadingKind, string>> & { simulated?: true }
const KINDS: ReadingKind[] = ['gap', 'step', 'roll']

/** What is typed of an array and not recorded yet, by place. */
function useTyped(array: () => string | undefined) {
  const store = useWallStore()
  const everyTyped = useLocalStorage<Record<string, Record<string, Typed>>>('wide-trellis:seams', {})
  const arrayKey = computed(() => `${wallKey(store.site, store.id)}/${array() ?? ''}`)
  const typed = computed({
    get: () => everyTyped.value[arrayKey.value] ?? {},
    set: (now) => {
      const { [arrayKey.value]: _, ...others } = everyTyped.value
      everyTyped.value = Object.keys(now).length > 0 ? { ...others, [arrayKey.value]: now } : others
    },
  })
  return { arrayKey, typed }
}

/** Which place is read, and which figure of it. */
function usePlaceRead(places: ComputedRef<Place[]>) {
  const at = useScreenState('true-at', () => 0)
  const field = ref<ReadingKind>('gap')
  const index = computed(() => Math.max(0, Math.min(at.value, places.value.length - 1)))
  const place = computed(() => places.value[index.value])
  const kinds = computed<ReadingKind[]>(() => !place.value || isSeam(place.value) ? ['gap', 'step'] : ['roll'])
  watch(kinds, (can) => { if (!can.includes(field.value)) field.value = can[0]! }, { immediate: true })
  function goTo(next: number, then: ReadingKind = 'gap') {
    at.value = next
    const to = places.value[next]
    field.value = to && !isSeam(to) ? 'roll' : then === 'roll' ? 'gap' : then
  }
  function goToKey(key: string) {
    const to = places.value.findIndex(each => each.key === key)
    if (to >= 0) goTo(to)
  }
  return { place, index, field, kinds, goTo, goToKey }
}

interface Read { place: Place, n: number, kind: ReadingKind, value: number, no: string | Text | undefined }

/** Every figure that was typed, with what is wrong with it. */
const everyReading = (
  places: Place[],
  typed: Record<string, Typed>,
  screens: TrueScreen[],
  read: (text: string, kind: ReadingKind, at: Place) => { value?: number, wrong?: string },
): Read[] => places.flatMap((place, n) => KINDS.flatMap((kind) => {
  const text = typed[place.key]?.[kind]
  if (text === undefined) return []
  const { value, wrong } = read(text, kind, place)
  const no = wrong ?? (isSeam(place) ? seamFault(screens, place.between, place.end) : undefined)
  return value === undefined && no === undefined ? [] : [{ place, n, kind, value: value ?? 0, no }]
}))

/** Figures as an entry of the log has them. */
function entryOf(readings: Read[], typed: Record<string, Typed>) {
  const seams = (of: ReadingKind) => readings.flatMap(({ place, kind, value }) =>
    kind === of && isSeam(place) ? [{ between: [...place.between], end: place.end, mm: value }] : [])
  const simulated = readings.some(({ place }) => typed[place.key]?.simulated)
  return {
    ...(simulated && { simulated }),
    gaps: seams('gap'),
    steps: seams('step'),
    rolls: readings.flatMap(({ place, value }) => (isSeam(place) ? [] : [{ screen: place.screen, mmPerM: value }])),
  }
}

/**
 * What is read of the array that is worked on, place after place: what is typed and not recorded yet lasts through a
 * reload.
 */
export const useReadings = createSharedComposable(() => {
  const store = useWallStore()
  const { array, screens, last } = useTruing()
  const { system, tell, fineWithUnit: withUnit } = useUnits()
  const places = computed(() => {
    const rows = screens.value.map(({ row }) => row)
    // Level is read along the row that others go by: by the house rule on heights, the top one or the lowest.
    const reference = store.rules.heightDatum === 'bottom-edge' ? Math.max(...rows) : Math.min(...rows)
    return placesOf(screens.value, array.value?.gap ?? { x: 0, y: 0 }, reference)
  })
  const { arrayKey, typed } = useTyped(() => array.value?.id)
  const { place, index, field, kinds, goTo, goToKey } = usePlaceRead(places)
  const now = computed(() => (place.value && typed.value[place.value.key]) ?? {})
  const entered = computed(() => places.value.filter(({ key }) => KINDS.some(kind => typed.value[key]?.[kind])).length)
  watch(arrayKey, () => goTo(0))

  function put(text: string, kind = field.value, simulated?: true) {
    if (!place.value) return
    const said: Typed = { ...now.value, [kind]: text, ...simulated && { simulated } }
    typed.value = { ...typed.value, [place.value.key]: said }
  }
  const read = (text: string, kind: ReadingKind, at = place.value) =>
    typedFigure(text, kind, at, screens.value, { system: system.value, tell })
  const wrong = computed(() => read(now.value[field.value] ?? '', field.value).wrong ?? '')
  /** What is wrong with any figure of the place. */
  const wrongHere = computed(() => kinds.value.find(kind => read(now.value[kind] ?? '', kind).wrong !== undefined))
  /** One place on or back, gap and step together; nothing is left behind that cannot be. */
  function go(by: 1 | -1) {
    if (by > 0 && wrongHere.value) return void (field.value = wrongHere.value)
    if (places.value[index.value + by]) goTo(index.value + by)
  }
  /** One figure on or back, as they are spoken or entered one by one. */
  function goFigure(by: 1 | -1) {
    if (by > 0 && wrong.value) return
    const next = kinds.value.indexOf(field.value) + by
    if (kinds.value[next]) return void (field.value = kinds.value[next])
    if (places.value[index.value + by]) goTo(index.value + by, by > 0 ? 'gap' : 'step')
  }
  /** How a figure that is typed stands to its target; undefined while there is none, or it cannot be. */
  function offTarget(kind: ReadingKind): number | undefined {
    const { value } = read(now.value[kind] ?? '', kind)
    if (value === undefined || kind === 'roll' || !place.value || !isSeam(place.value)) return undefined
    return Math.abs(kind === 'gap' ? value - place.value.target : value)
  }
  /** Everything that was typed, as an entry has it; or the first that cannot be, which is gone to. */
  function all() {
    const readings = everyReading(places.value, typed.value, screens.value, read)
    const bad = readings.find(({ no }) => no !== undefined)
    if (!bad) return entryOf(readings, typed.value)
    goTo(bad.n, bad.kind)
    return undefined
  }
  function clear() {
    typed.value = {}
    goTo(0)
  }
  const round = computed(() => (last.value?.round ?? 0) + 1)
  return {
    places, place, index, kinds, field, now, entered, wrong, round,
    put, go, goFigure, goToKey, offTarget, all, clear, withUnit,
  }
})
