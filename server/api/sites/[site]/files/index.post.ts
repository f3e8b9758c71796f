import type { SiteState } from '../../../../../core/api/sites'
import { author, database, firmOf } from '../../../../accounts/access'
import { folderOfFirm } from '../../../../accounts/open'
import { LIMITS } from '../../../../../core/job'
import { keepFile } from '../../../../files/siteFiles'
import { addFile } from '../../../../repositories/siteFiles'
import { siteRow } from '../../../../repositories/siteRows'
import { audited } from '../../../../utils/audited'
import { bodyBytes } from '../../../../utils/jsonBody'
import { now } from '../../../../utils/now'

/** Keeps a file with a site, sent as it is, `?name=` what it is called; answers with the site as it is then. */
export default defineEventHandler(async (event) => {
  const [db, folder, name] = [database(event), folderOfFirm(firmOf(event)), String(getQuery(event).name ?? '')]
  const { id } = siteRow(db, getRouterParam(event, 'site')!)
  const bytes = await bodyBytes(event, LIMITS.fileBytes, 'A file can have at most 25 MB; this one is larger.')
  let saved: SiteState | undefined
  const add = (file: string) => { saved = addFile(db, id, { file, name, by: author(event), at: now() }) }
  await keepFile(folder, id, name, bytes, add)
  audited(event, 'file-added', id, name)
  setResponseStatus(event, 201)
  return saved
})
