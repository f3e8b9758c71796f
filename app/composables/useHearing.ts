import { useSpeechRecognition } from '@vueuse/core'

/**
 * Listens where the browser can, sentence after sentence, until it is reported not to; what is said is heard by the
 * browser's own service, not by this product.
 */
export function useHearing(heard: (said: string) => void) {
  const { isSupported, isListening, isFinal, result, error, start, stop } = useSpeechRecognition({
    continuous: false,
    interimResults: false,
    lang: 'en',
  })
  const listening = ref(false)
  const fault = computed(() =>
    error.value
      ? `Speech recognition failed: ${'error' in error.value ? error.value.error : error.value.message}.`
      : '',
  )
  // It ends after every sentence, or a silence: what was said is told then, the same figure twice too, and it begins
  // again.
  watch(isListening, async (now) => {
    if (now) return
    if (isFinal.value) heard(result.value)
    if (error.value) listening.value = false
    await nextTick()
    if (listening.value) start()
  })
  function toggle() {
    listening.value = !listening.value
    if (listening.value) {
      error.value = undefined
      start()
    }
    else stop()
  }
  onScopeDispose(() => { listening.value = false })
  return { canHear: isSupported, listening, fault, toggle }
}
