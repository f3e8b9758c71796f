import { LIMITS } from '../../../../../../../core/job'
import { database } from '../../../../../../accounts/access'
import { addRevision, previousOf } from '../../../../../../repositories/revisions'
import { apiError, validationError } from '../../../../../../utils/apiError'
import { bodyText } from '../../../../../../utils/jsonBody'
import { work } from '../../../../../../work/pool'

/**
 * Takes what a device froze, once the server has worked it out itself and no stop stands against it; the entry of the
 * log that names its id then issues it.
 */
export default defineEventHandler(async (event) => {
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const text = await bodyText(event, LIMITS.frozenBytes)
  const read = await work('revision', { text, previous: previousOf(database(event), site, wall, text) }, event)
  if ('notJson' in read) throw apiError(400, 'not-json', `The data sent is not JSON: ${read.notJson}`)
  if ('faults' in read) throw validationError(read.faults)
  addRevision(database(event), site, wall, read.frozen)
  setResponseStatus(event, 201)
  return { id: read.frozen.id }
})
