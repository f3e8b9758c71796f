import { onSignedOut } from '~/utils/api'

/** Where the server says that this device's session has ended, it is locked, whatever page is open. */
export default defineNuxtPlugin(() => {
  const session = useSessionStore()
  const router = useRouter()
  onSignedOut((why) => {
    if (!session.person) return
    void session
      .lock(why)
      .then(() => router.push({ path: '/sign-in', query: { to: router.currentRoute.value.fullPath } }))
  })
})
