import { LIMITS } from '../../../core/job'
import { author, database } from '../../accounts/access'
import { copyOf, freeSiteId, importInSteps } from '../../repositories/importing'
import { now } from '../../utils/now'
import { bodyBytes, tooLarge } from '../../utils/jsonBody'
import { readJobFile } from '../../utils/jobFile'

/** Takes a job file as a new site; `?copy=1` gives it a free id where its own is taken. */
export default defineEventHandler(async (event) => {
  const { copy } = getQuery(event)
  const job = await readJobFile(await bodyBytes(event, LIMITS.jobBytes, tooLarge(LIMITS.jobBytes)), event)
  const db = database(event)
  const id = copy ? freeSiteId(db, job.site.id) : job.site.id
  const name = id === job.site.id ? job.site.name : `${job.site.name} (copy)`
  const imported = { by: author(event), at: now(), entries: job.log.length }
  await importInSteps(db, { job: copyOf(job, id, name), imported, saves: new Map() })
  setResponseStatus(event, 201)
  return { id }
})
