import { createSharedComposable, useLocalStorage } from '@vueuse/core'
import { nameOf, readingFault, seamFault, type End } from '~~/core/true'
import { fromSystem, MM_PER_INCH, parseLength, unitIn } from '~~/core/units'
import { wallKey } from '~/sync/device'

/** A place at which something is read: gap and step at an end of a seam, or how far a screen is out of level. */
export type Place = { key: string, label: string } & (
  { between: [string, string], end: End, target: number } | { screen: string }
)
/** What is read at a place. */
export type ReadingKind = 'gap' | 'step' | 'roll'
/** What is typed at a place; `simulated` where a practice instrument read any of it. */
type Typed = Partial<Record<ReadingKind, string>> & { simulated?: true }
const KINDS: ReadingKind[] = ['gap', 'step', 'roll']

const said = (name: string) => name.toUpperCase().replace('C', ' C')
export const isSeam = (place: Place): place is Extract<Place, { end: End }> => 'end' in place

/**
 * What is read of the array that is worked on, place after place: what is typed and not recorded yet lasts through a
 * reload.
 */
export const useReadings = createSharedComposable(() => {
  const store = useWallStore()
  const { array, screens, last } = useTruing()
  const { system, tell, fineWithUnit: withUnit } = useUnits()
  /**
   * Level is read along the row that others go by: by the house rule on heights, the top one of a grid or the lowest.
   */
  const reference = computed(() => {
    const rows = screens.value.map(({ row }) => row)
    return store.rules.heightDatum === 'bottom-edge' ? Math.max(...rows) : Math.min(...rows)
  })
  const places = computed<Place[]>(() => {
    const at = new Map(screens.value.map(screen => [nameOf(screen), screen]))
    const gap = array.value?.gap ?? { x: 0, y: 0 }
    const ends = (a: string, b: string, ends: End[], target: number): Place[] =>
      at.has(b)
        ? ends.map(end => ({
            key: `${a} ${b} ${end}`,
            between: [a, b],
            end,
            target,
            label: `${said(a)} | ${said(b)}, ${end}`,
          }))
        : []
    // Row by row; in a row the upright seams from the left, then the level ones below it back from the right: nothing
    // is walked twice.
    const rows = [...new Set(screens.value.map(({ row }) => row))].sort((a, b) => a - b)
    return rows.flatMap((row) => {
      const columns = screens.value
        .filter(screen => screen.row === row)
        .map(({ column }) => column)
        .sort((a, b) => a - b)
      return [
        ...columns.flatMap(column => ends(`r${row}c${column}`, `r${row}c${column + 1}`, ['top', 'bottom'], gap.x)),
        ...[...columns]
          .reverse()
          .flatMap((column): Place[] => [
            ...(row === reference.value
              ? [
                  {
                    key: `level r${row}c${column}`,
                    screen: `r${row}c${column}`,
                    label: `Level of ${said(`r${row}c${column}`)}`,
                  },
                ]
              : []),
            ...ends(`r${row}c${column}`, `r${row + 1}c${column}`, ['right', 'left'], gap.y),
          ]),
      ]
    })
  })
  const everyTyped = useLocalStorage<Record<string, Record<string, Typed>>>('wide-trellis:seams', {})
  const arrayKey = computed(() => `${wallKey(store.site, store.id)}/${array.value?.id ?? ''}`)
  const typed = computed({
    get: () => everyTyped.value[arrayKey.value] ?? {},
    set: (now) => {
      const { [arrayKey.value]: _, ...others } = everyTyped.value
      everyTyped.value = Object.keys(now).length > 0 ? { ...others, [arrayKey.value]: now } : others
    },
  })
  const at = useScreenState('true-at', () => 0)
  const field = ref<ReadingKind>('gap')
  const index = computed(() => Math.max(0, Math.min(at.value, places.value.length - 1)))
  const place = computed(() => places.value[index.value])
  const kinds = computed<ReadingKind[]>(() => !place.value || isSeam(place.value) ? ['gap', 'step'] : ['roll'])
  const now = computed(() => (place.value && typed.value[place.value.key]) ?? {})
  const entered = computed(() => places.value.filter(({ key }) => KINDS.some(kind => typed.value[key]?.[kind])).length)
  watch(arrayKey, () => goTo(0))
  watch(kinds, (can) => { if (!can.includes(field.value)) field.value = can[0]! }, { immediate: true })

  function put(text: string, kind = field.value, simulated?: true) {
    if (!place.value) return
    const said: Typed = { ...now.value, [kind]: text, ...simulated && { simulated } }
    typed.value = { ...typed.value, [place.value.key]: said }
  }
  /** A slope as it is typed, in the unit that is shown: inches of it may be a fraction. */
  function slopeOf(text: string): number {
    if (system.value === 'metric') return Number(text.replace(',', '.'))
    const inches = parseLength(text, 'imperial')
    return inches.ok ? inches.mm / MM_PER_INCH : NaN
  }
  /** What is typed as mm, or mm/m; why it cannot be is said beside it. */
  function read(text: string, kind: ReadingKind, at = place.value): { value?: number, wrong?: string } {
    const plain = text.trim().replace(/^-/, '')
    if (text.trim() === '') return {}
    const sign = text.trim().startsWith('-') ? -1 : 1
    const reading = kind === 'roll' ? undefined : parseLength(plain, system.value)
    if (reading && !reading.ok) return { wrong: reading.message }
    const figure = slopeOf(plain)
    const value = sign * (reading?.ok ? reading.mm : fromSystem(figure, 'mm/m', system.value))
    if (plain === '' || Number.isNaN(value))
      return { wrong: `Enter the level in ${unitIn('mm/m', system.value)}, positive with the right end up` }
    // No gauge reads a gap below nothing: what is typed so is a slip.
    const no = readingFault(
      kind,
      kind === 'gap' && value < 0 ? Infinity : value,
      screens.value,
      at && isSeam(at) ? at.target : 0,
    )
    return no ? { wrong: tell(no) } : { value }
  }
  const wrong = computed(() => read(now.value[field.value] ?? '', field.value).wrong ?? '')
  function goTo(next: number, then: ReadingKind = 'gap') {
    at.value = next
    const to = places.value[next]
    field.value = to && !isSeam(to) ? 'roll' : then === 'roll' ? 'gap' : then
  }
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
  function goToKey(key: string) {
    const to = places.value.findIndex(each => each.key === key)
    if (to >= 0) goTo(to)
  }
  /** Everything that was typed, as an entry has it; or the first that cannot be, which is gone to. */
  function all() {
    const readings = places.value.flatMap((place, n) => KINDS.flatMap((kind) => {
      const text = typed.value[place.key]?.[kind]
      if (text === undefined) return []
      const { value, wrong } = read(text, kind, place)
      const no = wrong ?? (isSeam(place) ? seamFault(screens.value, place.between, place.end) : undefined)
      return value === undefined && no === undefined ? [] : [{ place, n, kind, value: value ?? 0, no }]
    }))
    const bad = readings.find(({ no }) => no !== undefined)
    if (bad) {
      goTo(bad.n, bad.kind)
      return undefined
    }
    const seams = (of: ReadingKind) =>
      readings.flatMap(({ place, kind, value }) =>
        kind === of && isSeam(place) ? [{ between: [...place.between], end: place.end, mm: value }] : [],
      )
    const simulated = readings.some(({ place }) => typed.value[place.key]?.simulated)
    return {
      ...(simulated && { simulated }),
      gaps: seams('gap'),
      steps: seams('step'),
      rolls: readings.flatMap(({ place, value }) => (isSeam(place) ? [] : [{ screen: place.screen, mmPerM: value }])),
    }
  }
  function clear() {
    typed.value = {}
    goTo(0)
  }
  return {
    places,
    place,
    index,
    kinds,
    field,
    now,
    entered,
    wrong,
    round: computed(() => (last.value?.round ?? 0) + 1),
    put,
    go,
    goFigure,
    goToKey,
    offTarget,
    all,
    clear,
    withUnit,
  }
})
