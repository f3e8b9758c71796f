import { writeJob } from '../../../../core/job'
import { database } from '../../../accounts/access'
import { exportJob } from '../../../repositories/sites'
import { asFile } from '../../../utils/attachment'
import { audited } from '../../../utils/audited'

/** The site as its job file. */
export default defineEventHandler((event) => {
  const site = getRouterParam(event, 'site')!
  const text = writeJob(exportJob(database(event), site))
  audited(event, 'export', site, 'job file')
  asFile(event, [site], 'json')
  return text
})
