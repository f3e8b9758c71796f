import { createSharedComposable } from '@vueuse/core'
import { ofKind, standing } from '~~/core/log'
import { spokenFigure, spokenOrder } from '~~/core/units'
import { turnedOf } from '~~/core/true'
import { practiceFeeler, practiceLevel } from '~/instruments/gauge'
import type { InstrumentEvent, PracticeGauge } from '~/instruments/instrument'

/** The instruments that readings of seams come from, and the voice of the reader them. */
export const useGauge = createSharedComposable(() => {
  const store = useWallStore()
  const { array, screens } = useTruing()
  const { place, kinds, field, put, goFigure } = useReadings()
  const perTurn = (screen: string, adjuster: string) =>
    screens.value.find(({ name }) => name === screen)?.travels.find(travel => travel.adjuster === adjuster)?.perTurn
  const wall = () => ({
    key: `${store.site}/${store.id}/${array.value?.id}`,
    screens: screens.value,
    gap: array.value?.gap ?? { x: 0, y: 0 },
    turned: turnedOf(standing(store.allLog, store.wallRecord), array.value?.id ?? '', perTurn),
  })
  const [feeler, level] = [practiceFeeler(wall), practiceLevel(wall)]
  /** Simulated gauges are of no real wall: a demo alone has them. */
  const offered = computed(() => store.server?.job.site.demo === true ? [feeler, level] : [])
  const connected = shallowRef<PracticeGauge>()
  const last = ref('')
  const { typed, showThin, quantity } = useUnits()
  let stop: (() => void) | undefined

  /** What an instrument tells goes where it belongs; of what the place that is read has no use it is said. */
  function heard(event: InstrumentEvent) {
    if (event.kind !== 'gap' && event.kind !== 'step' && event.kind !== 'roll') return
    const value = event.kind === 'roll' ? event.mmPerM : event.mm
    last.value = event.kind === 'roll' ? `level ${quantity(value, 'mm/m')}` : `${event.kind} ${showThin(value)}`
    if (!kinds.value.includes(event.kind)) return
    put(event.kind === 'roll' ? typed(value, 'mm/m') : `${value} mm`, event.kind, true)
  }
  async function connect(id: string) {
    stop?.()
    await connected.value?.disconnect()
    connected.value = offered.value.find(instrument => instrument.id === id)
    last.value = ''
    await connected.value?.connect()
    stop = connected.value?.listen(heard)
  }
  watch(() => store.id, () => connect(''))
  /** Holds a practice instrument at the place that is read: the level at a screen, the feeler gauge at a seam. */
  async function hold() {
    const at = place.value
    if (!at) return
    const fitting = 'screen' in at ? level : feeler
    if (connected.value !== fitting) await connect(fitting.id)
    last.value = ''
    connected.value?.holdAt('screen' in at ? { screen: at.screen } : { between: at.between, end: at.end })
    if (last.value === '') last.value = 'nothing, this instrument cannot read it'
  }
  const hearing = useHearing((said) => {
    const order = spokenOrder(said)
    const figure = spokenFigure(said)
    if (figure !== undefined) {
      put(figure)
      last.value = `${field.value} ${figure}`
    }
    if (order) goFigure(order === 'next' ? 1 : -1)
    else if (figure !== undefined) goFigure(1)
  })
  /** Rounds of the array that are in the log. */
  const rounds = computed(() =>
    ofKind(standing(store.allLog, store.wallRecord), 'seams').filter(each => each.array === array.value?.id),
  )
  return { offered, connected, last, connect, hold, hearing, rounds }
})
