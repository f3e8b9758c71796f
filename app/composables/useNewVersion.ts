/// <reference types="vite-plugin-pwa/vue" />
import { createGlobalState } from '@vueuse/core'
import { useRegisterSW } from 'virtual:pwa-register/vue'

/** Registers the service worker, once; whether a newer version of the program waits, and how to take it. */
export const useNewVersion = createGlobalState(() => {
  const { needRefresh: waits, updateServiceWorker } = useRegisterSW({ immediate: true })
  return { waits, load: () => updateServiceWorker(true) }
})
