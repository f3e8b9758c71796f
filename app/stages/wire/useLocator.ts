import type { Instrument } from '~/instruments/instrument'
import { practiceLocator } from '~/instruments/practice'

/** A locator held at a place of the wall: it tells where that is above or below. */
export function useLocator() {
  const heard = ref<number>()
  const connected = ref(false)
  const locator: Instrument & { holdAt: (x: number) => void } = practiceLocator()
  const stop = locator.listen((event) => { if (event.kind === 'length') heard.value = event.mm })
  onScopeDispose(() => {
    stop()
    void locator.disconnect()
  })
  async function hold(x: number) {
    await locator.connect()
    connected.value = true
    locator.holdAt(x)
  }
  return { heard, connected, hold }
}
