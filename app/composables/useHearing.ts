/** What the browser hears, word for word, where it listens at all. */
interface Recognition extends EventTarget { lang: string, continuous: boolean, start: () => void, stop: () => void }
interface Heard extends Event { results: ArrayLike<ArrayLike<{ transcript: string }>>, resultIndex: number }

/** Listens where the browser can, until it is told not to; what is said is heard by the browser's own service, not by this product. */
export function useHearing(heard: (said: string) => void) {
  const Made = typeof window === 'undefined' ? undefined : (window as unknown as Record<string, new () => Recognition>).SpeechRecognition ?? (window as unknown as Record<string, new () => Recognition>).webkitSpeechRecognition
  const listening = ref(false)
  const fault = ref('')
  let recognition: Recognition | undefined
  function stop() {
    listening.value = false
    recognition?.stop()
    recognition = undefined
  }
  function start() {
    if (!Made) return
    fault.value = ''
    recognition = new Made()
    recognition.lang = 'en'
    recognition.continuous = true
    recognition.addEventListener('result', (event) => {
      const { results, resultIndex } = event as Heard
      for (const result of Array.from(results).slice(resultIndex)) heard(result[0]?.transcript ?? '')
    })
    recognition.addEventListener('error', (event) => {
      fault.value = `The browser does not hear: ${(event as Event & { error?: string }).error ?? 'not known why'}.`
      stop()
    })
    // It ends by itself after a silence, and is begun again for as long as it is wanted.
    recognition.addEventListener('end', () => { if (listening.value) recognition?.start() })
    recognition.start()
    listening.value = true
  }
  onScopeDispose(stop)
  return { canHear: Made !== undefined, listening, fault, toggle: () => listening.value ? stop() : start() }
}
