import { siteArchive } from '../../../archive/write'
import { database, firmOf } from '../../../accounts/access'
import { folderOfFirm } from '../../../accounts/open'
import { siteJobPages } from '../../../repositories/walls'
import { work } from '../../../work/pool'
import { asFile } from '../../../utils/attachment'
import { audited } from '../../../utils/audited'

/** The site with its photos as a ZIP file. */
export default defineEventHandler(async (event) => {
  const site = getRouterParam(event, 'site')!
  const db = database(event)
  const job = await work('jobFile', { job: () => siteJobPages(db, site) }, event)
  const archive = siteArchive(db, folderOfFirm(firmOf(event)), site, job)
  audited(event, 'export', site, 'with its photos')
  asFile(event, [site], 'zip')
  return sendStream(event, archive)
})
