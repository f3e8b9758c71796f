// The build makes this module; nothing else declares it.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="../types/apiRoutes.d.ts" />
import { ROUTES } from '#api-routes'

/** A route that an address leads to, as the table of rights names it, and what stands in its places. */
export interface RouteFound { method: string, route: string, params: Record<string, string> }

/**
 * The routes of an address, one for each way in which it can be asked; none where there is no such address. A name that
 * is written out comes before a place for any.
 */
export function routesOf(path: string): RouteFound[] {
  const parts = path.split('/')
  const found = ROUTES.flatMap(({ route, method }) => {
    const names = route.split('/')
    if (names.length !== parts.length || !names.every((name, n) => name.startsWith(':') || name === parts[n])) return []
    const params = Object.fromEntries(
      names.flatMap((name, n) => (name.startsWith(':') ? [[name.slice(1), parts[n]!]] : [])),
    )
    return [{ method: method.toUpperCase(), route, params }]
  })
  const fewest = Math.min(...found.map(({ params }) => Object.keys(params).length))
  return found
    .filter(({ params }) => Object.keys(params).length === fewest)
    .sort((a, b) => a.method.localeCompare(b.method))
}
