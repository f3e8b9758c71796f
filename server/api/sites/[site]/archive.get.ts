import { siteArchive } from '../../../archive/write'
import { database } from '../../../database/connection'
import { asFile } from '../../../utils/attachment'

/** The site with its pictures as a ZIP file. */
export default defineEventHandler((event) => {
  const site = getRouterParam(event, 'site')!
  const archive = siteArchive(database(), site)
  asFile(event, [site], 'zip', 'application/zip')
  return sendStream(event, archive)
})
