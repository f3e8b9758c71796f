import { liveQuery } from 'dexie'
import { useOutbox } from './useOutbox'

/** Where a picture is had from: from this device while the server does not have it yet. */
export function usePhoto(site: () => string, name: () => string | undefined) {
  const { device } = useOutbox()
  const own = ref<string>()
  const forget = () => {
    if (own.value) URL.revokeObjectURL(own.value)
    own.value = undefined
  }
  watch(name, (name, _, onCleanup) => {
    if (!name) return
    const subscription = liveQuery(() => device.photos.get(name)).subscribe({
      next: (photo) => {
        forget()
        if (photo) own.value = URL.createObjectURL(photo.blob)
      },
      error: () => {},
    })
    onCleanup(() => {
      subscription.unsubscribe()
      forget()
    })
  }, { immediate: true })
  onScopeDispose(forget)
  return {
    whole: computed(() => own.value ?? photoAddress(site(), name() ?? '')),
    small: computed(() => own.value ?? photoAddress(site(), name() ?? '', true)),
  }
}
