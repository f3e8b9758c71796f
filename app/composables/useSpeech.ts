import { useLocalStorage } from '@vueuse/core'

/** Reading aloud, where the browser has a voice; off until a person turns it on. */
export function useSpeech() {
  const speaks = useLocalStorage('wide-trellis:speaks', false)
  const canSpeak = typeof window !== 'undefined' && 'speechSynthesis' in window
  function speak(text: string) {
    if (!canSpeak) return
    window.speechSynthesis.cancel()
    if (!speaks.value) return
    const said = new SpeechSynthesisUtterance(text)
    said.lang = 'en'
    window.speechSynthesis.speak(said)
  }
  onScopeDispose(() => { if (canSpeak) window.speechSynthesis.cancel() })
  return { speaks, canSpeak, speak }
}
