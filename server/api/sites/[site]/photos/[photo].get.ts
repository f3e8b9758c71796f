import { database, firmOf } from '../../../../accounts/access'
import { folderOfFirm } from '../../../../accounts/open'
import { readPhoto } from '../../../../photos/photos'
import { mentionsPhoto, siteRow } from '../../../../repositories/siteRows'

/** A picture; `?thumb=1` for a small one. Its name is made from its content, so it never changes. */
export default defineEventHandler(async (event) => {
  const [{ id, key }, name] = [
    siteRow(database(event), getRouterParam(event, 'site')!),
    getRouterParam(event, 'photo')!,
  ]
  const { bytes, type } = await readPhoto(
    folderOfFirm(firmOf(event)),
    id,
    name,
    getQuery(event).thumb !== undefined,
    () => mentionsPhoto(database(event), key, name),
  )
  setResponseHeaders(event, { 'content-type': type, 'cache-control': 'private, max-age=31536000, immutable' })
  return bytes
})
