import { guard, isApi } from '../guard/requests'
import { methodsOf } from '../guard/routes'
import { apiError } from '../utils/apiError'

/** Before anything is read of a request: whether it may come, and whether its address is asked so. */
export default defineEventHandler((event) => {
  const path = event.path.split('?')[0]!
  guard({ method: event.method, path, header: name => getHeader(event, name) })
  if (!isApi(path)) return
  const methods = methodsOf(path)
  if (methods.length === 0) throw apiError(404, 'not-found', 'There is nothing at this address.')
  if (methods.includes(event.method)) return
  setResponseHeader(event, 'allow', methods.join(', '))
  throw apiError(405, 'not-so', `This address takes ${methods.join(' and ')}, not ${event.method}.`)
})
