import { importArchive } from '../../archive/importArchive'
import { author, database, firmOf } from '../../accounts/access'
import { folderOfFirm } from '../../accounts/open'
import { now } from '../../utils/now'

/** Takes a site with its pictures as it was saved; `?copy=1` gives it a free id where its own is taken. */
export default defineEventHandler(async (event) => {
  const { copy } = getQuery(event)
  const by = { by: author(event), at: now() }
  const folder = folderOfFirm(firmOf(event))
  const brought = await importArchive(database(event), folder, event.node.req, copy !== undefined, by)
  setResponseStatus(event, 201)
  return brought
})
