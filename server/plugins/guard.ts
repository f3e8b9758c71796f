import { HEADERS, policy, scriptsIn, TLS_ONLY } from '../guard/headers'
import { isForThisMachineOnly } from '../guard/hosts'

/** Where this server listens, what it says to browsers with every answer, and whom it lets write. */
export default defineNitroPlugin((nitro) => {
  process.env.HOST = process.env.NITRO_HOST || process.env.HOST || '127.0.0.1'
  // While it is being built upon, the tools' own pages and connections come in.
  if (import.meta.dev) return
  console.log(
    isForThisMachineOnly()
      ? 'Reachable from this machine only. Set HOST=0.0.0.0 to make it reachable from the network.'
      : `Reachable from any machine that can reach ${process.env.HOST}, after sign-in.`,
  )
  nitro.hooks.hook('request', event => setResponseHeaders(event, isTls(event) ? { ...HEADERS, ...TLS_ONLY } : HEADERS))
  nitro.hooks.hook('render:response', ({ headers, body }) => {
    if (headers) Reflect.deleteProperty(headers, 'x-powered-by')
    if (headers && typeof body === 'string') headers['content-security-policy'] = policy(scriptsIn(body))
  })
})
