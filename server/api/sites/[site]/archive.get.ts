import { siteArchive } from '../../../archive/write'
import { database, firmOf } from '../../../accounts/access'
import { folderOfFirm } from '../../../accounts/open'
import { asFile } from '../../../utils/attachment'
import { audited } from '../../../utils/audited'

/** The site with its photos as a ZIP file. */
export default defineEventHandler((event) => {
  const site = getRouterParam(event, 'site')!
  const archive = siteArchive(database(event), folderOfFirm(firmOf(event)), site)
  audited(event, 'export', site, 'with its photos')
  asFile(event, [site], 'zip')
  return sendStream(event, archive)
})
