import { database } from '../../database/connection'
import { freeSiteId, importJob } from '../../repositories/sites'
import { author, now } from '../../utils/author'
import { bodyText } from '../../utils/jsonBody'
import { parsedJson } from '../../utils/parsedJson'
import { validationError } from '../../utils/apiError'
import { work } from '../../work/pool'

/** Takes a job file as a new site; `?copy=1` gives it a free id where its own is taken. */
export default defineEventHandler(async (event) => {
  const { copy, by } = getQuery(event)
  const text = await bodyText(event)
  parsedJson(text)
  const read = await work('job', { text })
  if ('faults' in read) throw validationError(read.faults)
  const { job } = read
  const db = database()
  const id = copy ? freeSiteId(db, job.site.id) : job.site.id
  const name = id === job.site.id ? job.site.name : `${job.site.name} (copy)`
  importJob(db, { ...job, site: { ...job.site, id, name } }, author(by), now())
  setResponseStatus(event, 201)
  return { id }
})
