import { checkType, guard, isApi, type Asked } from '../guard/requests'
import { closeWhenStalled } from '../guard/stalled'
import { routesOf } from '../guard/routes'
import { authorize } from '../guard/authorize'
import { apiError } from '../utils/apiError'

/**
 * Before anything is read of a request: whether it may come, whether its address is asked so, and whether the caller
 * may do that.
 */
export default defineEventHandler(async (event) => {
  const path = event.path.split('?')[0]!
  const asked: Asked = { method: event.method, path, header: name => getHeader(event, name) }
  guard(asked)
  if (!isApi(path)) return
  const routes = routesOf(path)
  if (routes.length === 0) throw apiError(404, 'not-found', 'Nothing was found at this address.')
  const route = routes.find(({ method }) => method === event.method)
  if (route) {
    checkType(asked)
    closeWhenStalled(event)
    return authorize(event, route)
  }
  const methods = routes.map(({ method }) => method)
  setResponseHeader(event, 'allow', methods.join(', '))
  throw apiError(405, 'not-so', `This address accepts ${methods.join(' and ')}, not ${event.method}.`)
})
