import contentDisposition from 'content-disposition'
import { database, firmOf } from '../../../../accounts/access'
import { folderOfFirm } from '../../../../accounts/open'
import { readFile } from '../../../../files/siteFiles'
import { readSite } from '../../../../repositories/sites'

/**
 * A file of a site, to be saved under the name that it came with. It is never shown as a page of this server, whatever
 * is in it.
 */
export default defineEventHandler((event) => {
  const [{ site }, file] = [readSite(database(event), getRouterParam(event, 'site')!), getRouterParam(event, 'file')!]
  const bytes = readFile(folderOfFirm(firmOf(event)), site, file)
  const { name } = site.files!.find(each => each.file === file)!
  setResponseHeaders(event, {
    'content-type': 'application/octet-stream',
    'content-disposition': contentDisposition(name),
    'x-content-type-options': 'nosniff',
    'cache-control': 'private, max-age=31536000, immutable',
  })
  return bytes
})
