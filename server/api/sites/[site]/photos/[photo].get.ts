import { readPhoto } from '../../../../photos/photos'

/** A picture; `?thumb=1` for a small one. Its name is made from its content, so it never changes. */
export default defineEventHandler((event) => {
  const { bytes, type } = readPhoto(getRouterParam(event, 'photo')!, getQuery(event).thumb !== undefined)
  setResponseHeaders(event, { 'content-type': type, 'cache-control': 'private, max-age=31536000, immutable', 'x-content-type-options': 'nosniff' })
  return bytes
})
