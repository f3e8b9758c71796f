/** Notes a part that could not be fetched, wherever it was asked for. */
export default defineNuxtPlugin(() => {
  const missing = useMissingPart()
  window.addEventListener('vite:preloadError', () => { missing.value = true })
})
