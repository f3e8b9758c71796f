import { database } from '../../../accounts/access'
import { siteJobPages } from '../../../repositories/walls'
import { work } from '../../../work/pool'
import { asFile } from '../../../utils/attachment'
import { audited } from '../../../utils/audited'

/** The site as its job file. */
export default defineEventHandler(async (event) => {
  const site = getRouterParam(event, 'site')!
  const { file } = await work('jobFile', { job: () => siteJobPages(database(event), site) }, event)
  audited(event, 'export', site, 'job file')
  asFile(event, [site], 'json')
  return Buffer.from(file)
})
