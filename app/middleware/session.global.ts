/** Pages that anybody may open: coming in, and what a client's link leads to. */
const OPEN = /^\/(sign-in|begin|join|handover)(\/|$)/

/** Nobody comes past the door who is not signed in; who he is is asked once, and known without a connection. */
export default defineNuxtRouteMiddleware(async ({ path, fullPath }) => {
  if (OPEN.test(path)) return
  const session = useSessionStore()
  if (!session.asked) {
    const asking = session.confirm()
    // Anyone who is known here need not wait for the server to say so again.
    if (!session.person) await asking
    else
      void asking.then(
        async () => {
          if (!session.person) await navigateTo({ path: '/sign-in', query: { to: fullPath } })
        },
        () => {},
      )
  }
  if (!session.begun) return navigateTo('/begin')
  if (!session.person) return navigateTo({ path: '/sign-in', query: { to: fullPath } })
})
