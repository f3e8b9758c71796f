// The build makes this module; nothing else declares it.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="../types/apiRoutes.d.ts" />
import { ROUTES } from '#api-routes'

/** The ways in which an address can be asked, as `GET`; none where there is no such address. */
export function methodsOf(path: string): string[] {
  const parts = path.split('/')
  const leadsThere = (route: string) => {
    const names = route.split('/')
    return names.length === parts.length && names.every((name, n) => name.startsWith(':') || name === parts[n])
  }
  return [...new Set(ROUTES.filter(({ route }) => leadsThere(route)).map(({ method }) => method.toUpperCase()))].sort()
}
