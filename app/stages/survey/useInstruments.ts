import { createSharedComposable } from '@vueuse/core'
import type { Instrument, InstrumentEvent, PracticeInstrument } from '~/instruments/instrument'
import { practiceDetector, practiceDistanceMeter } from '~/instruments/practice'

/** The instruments that can be connected, and the one that is; what it tells goes where readings are entered. */
export const useInstruments = createSharedComposable(() => {
  const store = useWallStore()
  const { name } = useMe()
  const { tool, height } = useSurveyTool()
  /** Simulated instruments are of no real wall: a demo alone has them. */
  const offered = computed<PracticeInstrument[]>(() =>
    store.server?.job.site.demo !== true
      ? []
      : [practiceDetector(`${store.site}/${store.id}`), practiceDistanceMeter()],
  )
  const connected = shallowRef<PracticeInstrument>()
  const last = ref('')
  let stop: (() => void) | undefined

  function heard(event: InstrumentEvent) {
    if (event.kind !== 'length' && event.kind !== 'reading') return
    const reading = event.kind === 'reading'
      ? event.reading
      : tool.value?.enters === 'reading' ? { method: tool.value.method, ...tool.value.answer, x: event.mm } : undefined
    last.value = event.kind === 'length' ? `${event.mm} mm` : `${event.reading.edge ?? ''} edge at ${event.reading.x}`
    if (reading)
      store.edit(`Reading from ${connected.value?.name ?? 'instrument'}`, wall =>
        addReadings(wall, [{ ...reading, y: height.value, simulated: true }], name.value, new Date().toISOString()),
      )
  }
  async function connect(id: string) {
    stop?.()
    await connected.value?.disconnect()
    const instrument: (Instrument & PracticeInstrument) | undefined = offered.value.find(
      instrument => instrument.id === id,
    )
    connected.value = instrument
    last.value = ''
    await instrument?.connect()
    stop = instrument?.listen(heard)
  }
  watch(() => store.id, () => connect(''))
  return { offered, connected, last, connect }
})
