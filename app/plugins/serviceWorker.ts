/** The service worker is registered once the page stands: it fetches the whole application. */
export default defineNuxtPlugin(() => {
  onNuxtReady(async () => { (await import('~/composables/useNewVersion')).useNewVersion() })
})
