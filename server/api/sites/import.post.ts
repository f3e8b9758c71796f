import { InvalidJob, validateJob } from '../../../core/job'
import { database } from '../../database/connection'
import { freeSiteId, importJob } from '../../repositories/sites'
import { author, now } from '../../utils/author'
import { jsonBody } from '../../utils/jsonBody'
import { validationError } from '../../utils/apiError'

/** Takes a job file as a new site; `?copy=1` gives it a free id where its own is taken. */
export default defineEventHandler(async (event) => {
  const body = await jsonBody(event)
  const { copy, by } = getQuery(event)
  const db = database()
  try {
    const job = validateJob(body)
    const id = copy ? freeSiteId(db, job.site.id) : job.site.id
    const name = id === job.site.id ? job.site.name : `${job.site.name} (copy)`
    importJob(db, { ...job, site: { ...job.site, id, name } }, author(by), now())
    setResponseStatus(event, 201)
    return { id }
  }
  catch (error) {
    if (error instanceof InvalidJob) throw validationError(error.faults)
    throw error
  }
})
