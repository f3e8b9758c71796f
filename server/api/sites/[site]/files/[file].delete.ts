import { database, firmOf } from '../../../../accounts/access'
import { folderOfFirm } from '../../../../accounts/open'
import { dropFile } from '../../../../files/siteFiles'
import { removeFile } from '../../../../repositories/siteFiles'
import { audited } from '../../../../utils/audited'

/** Takes a file from a site, for good; answers with the site as it is then. */
export default defineEventHandler((event) => {
  const [site, file] = [getRouterParam(event, 'site')!, getRouterParam(event, 'file')!]
  const { name, saved } = removeFile(database(event), site, file)
  dropFile(folderOfFirm(firmOf(event)), site, file)
  audited(event, 'file-removed', site, name)
  return saved
})
