// The build makes this module; nothing else declares it.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="../types/apiRoutes.d.ts" />
import { ROUTES } from '#api-routes'
import { apiError } from '../utils/apiError'

/** Whatever no route of the API answers: another way to ask of an address that there is, or no such address. */
export default defineEventHandler((event) => {
  const parts = event.path.split('?')[0]!.split('/')
  const leadsThere = (route: string) => {
    const names = route.split('/')
    return names.length === parts.length && names.every((name, n) => name.startsWith(':') || name === parts[n])
  }
  const methods = [...new Set(ROUTES.filter(({ route }) => leadsThere(route)).map(({ method }) => method.toUpperCase()))].sort()
  if (methods.length === 0) throw apiError(404, 'not-found', 'There is nothing at this address.')
  setResponseHeader(event, 'allow', methods.join(', '))
  throw apiError(405, 'not-so', `This address takes ${methods.join(' and ')}, not ${event.method}.`)
})
