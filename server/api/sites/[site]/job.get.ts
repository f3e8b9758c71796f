import { writeJob } from '../../../../core/job'
import { database } from '../../../database/connection'
import { exportJob } from '../../../repositories/sites'
import { asFile } from '../../../utils/attachment'

/** The site as its job file. */
export default defineEventHandler((event) => {
  const site = getRouterParam(event, 'site')!
  const text = writeJob(exportJob(database(), site))
  asFile(event, [site], 'json', 'application/json; charset=utf-8')
  return text
})
