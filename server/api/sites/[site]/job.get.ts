import { writeJob } from '../../../../core/job'
import { database } from '../../../database/connection'
import { exportJob } from '../../../repositories/sites'

/** The site as its job file. */
export default defineEventHandler((event) => {
  const site = getRouterParam(event, 'site')!
  const text = writeJob(exportJob(database(), site))
  setHeader(event, 'content-type', 'application/json; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="${site}.json"`)
  return text
})
