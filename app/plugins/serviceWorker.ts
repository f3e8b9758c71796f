/** The service worker is registered once the page stands: it fetches the whole application. */
export default defineNuxtPlugin(() => {
  onNuxtReady(async () => {
    const { useNewVersion } = await untilFetched(() => import('~/composables/useNewVersion'))
    useNewVersion()
  })
})
