import { author, database, firmOf } from '../../../../accounts/access'
import { folderOfFirm } from '../../../../accounts/open'
import { LIMITS } from '../../../../../core/job'
import { dropFile, keepFile } from '../../../../files/siteFiles'
import { addFile, namesFile } from '../../../../repositories/siteFiles'
import { siteRow } from '../../../../repositories/siteRows'
import { audited } from '../../../../utils/audited'
import { bodyBytes } from '../../../../utils/jsonBody'
import { now } from '../../../../utils/now'

/** Keeps a file with a site, sent as it is, `?name=` what it is called; answers with the site as it is then. */
export default defineEventHandler(async (event) => {
  const [db, folder, name] = [database(event), folderOfFirm(firmOf(event)), String(getQuery(event).name ?? '')]
  const { id } = siteRow(db, getRouterParam(event, 'site')!)
  const file = await keepFile(folder, id, name, await bodyBytes(event, LIMITS.fileBytes, 'A file can have at most 25 MB; this one is larger.'))
  try {
    const saved = addFile(db, id, { file, name, by: author(event), at: now() })
    audited(event, 'file-added', id, name)
    setResponseStatus(event, 201)
    return saved
  }
  catch (error) {
    if (!namesFile(db, id, file)) dropFile(folder, id, file)
    throw error
  }
})
