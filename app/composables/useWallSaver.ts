import { useEventListener, watchDebounced } from '@vueuse/core'
import type { Wall } from '~~/core/job'

export type SaveState = 'saved' | 'saving' | 'waiting' | 'offline' | 'refused' | 'conflict'

const FIRST_RETRY = 1_000
const LAST_RETRY = 10_000

/**
 * Sends the wall's edits and log entries to the server, in order and one at a time. What the
 * server does not have yet is kept in this browser first, and sent again until it does.
 */
export function useWallSaver() {
  const store = useWallStore()
  const { name } = usePreferences()
  const offline = ref(false)
  const refused = ref<string>()
  const busy = ref(false)
  let retry = FIRST_RETRY
  let timer: ReturnType<typeof setTimeout> | undefined

  const address = () => `/sites/${store.site}/walls/${store.id}`

  function keep() {
    if (!store.kept || !store.wall || !store.keptWall) return
    const pending = store.unsaved || store.unsentLog.length > 0
    const base = store.conflict?.base ?? store.keptWall
    keepDraft(store.site, store.id, pending ? { version: store.kept.version, base, wall: store.wall, log: store.unsentLog, models: store.taken } : undefined)
  }

  async function sendWall(wall: Wall) {
    const base = store.keptWall!
    const models = store.taken
    try {
      const answer = await api<{ version: number, savedAt: string, savedBy: string }>(address(), {
        method: 'PUT', body: { wall, version: store.kept!.version, by: name.value, models },
      })
      store.saved(answer, wall, models)
    }
    catch (error) {
      if (!(error instanceof ApiError) || error.status !== 409) throw error
      store.meet({ theirs: error.current as NonNullable<typeof store.kept>, base })
    }
  }

  async function sendLog() {
    const [entry] = store.unsentLog
    if (!entry) return
    await api(`${address()}/log`, { method: 'POST', body: entry })
    store.log = [...store.log, entry]
    store.unsentLog = store.unsentLog.filter(({ id }) => id !== entry.id)
  }

  async function send() {
    if (busy.value || !store.wall) return
    busy.value = true
    try {
      while (store.unsentLog.length > 0) await sendLog()
      while (store.unsaved && !store.conflict) await sendWall(store.wall)
      offline.value = false
      refused.value = undefined
      retry = FIRST_RETRY
    }
    catch (error) {
      if (!(error instanceof ApiError)) throw error
      offline.value = error.passing
      refused.value = error.passing ? undefined : [error.message, ...error.faults.map(fault => fault.message)].join(' ')
      if (error.passing) {
        clearTimeout(timer)
        timer = setTimeout(send, retry)
        retry = Math.min(2 * retry, LAST_RETRY)
      }
    }
    finally {
      busy.value = false
      keep()
    }
  }

  watch([() => store.wall, () => store.unsentLog], keep, { flush: 'sync' })
  watchDebounced([() => store.wall, () => store.unsentLog], send, { debounce: 250 })
  useEventListener(window, 'online', send)
  onScopeDispose(() => clearTimeout(timer))

  const state = computed<SaveState>(() => {
    if (store.conflict) return 'conflict'
    if (!store.unsaved && store.unsentLog.length === 0) return 'saved'
    if (refused.value) return 'refused'
    if (offline.value) return 'offline'
    return busy.value ? 'saving' : 'waiting'
  })
  return { state, refused, send }
}
