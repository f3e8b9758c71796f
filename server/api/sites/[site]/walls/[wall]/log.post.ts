import { LIMITS } from '../../../../../../core/job'
import { database, firmOf, signedIn } from '../../../../../accounts/access'
import { authorOf } from '../../../../../accounts/authorship'
import { accounts } from '../../../../../accounts/open'
import { tellWall } from '../../../../../events/hub'
import { countEntries } from '../../../../../guard/limits'
import { addEntries, addLogEntry } from '../../../../../repositories/log'
import { now } from '../../../../../utils/now'
import { validationError } from '../../../../../utils/apiError'
import { fieldsOf } from '../../../../../utils/fields'
import { jsonBody } from '../../../../../utils/jsonBody'
import { turn } from '../../../../../utils/turn'

/**
 * Adds one entry to the log, or, as `{ "entries": […] }`, many in their order: each is answered by itself, and one
 * that is refused keeps none of the others out, and one whose maker had lost the right to make it waits for a planner.
 * There is no route that changes or removes one.
 */
export default defineEventHandler(async (event) => {
  const body = await jsonBody(event)
  const [site, wall] = [getRouterParam(event, 'site')!, getRouterParam(event, 'wall')!]
  const { entries } = fieldsOf(body)
  const { person } = signedIn(event)
  const by = authorOf(accounts(), signedIn(event))
  if (entries === undefined) {
    await countEntries(person.id, 1)
    const entry = addLogEntry(database(event), { siteId: site, wall }, by, body, now())
    if ('setAside' in entry) {
      setResponseStatus(event, 202)
      return entry
    }
    tellWall(firmOf(event).id, site, wall, { kind: 'log', entries: [entry] })
    setResponseStatus(event, 201)
    return entry
  }
  if (!Array.isArray(entries) || entries.length > LIMITS.entriesAtOnce)
    throw validationError([{ path: '$.entries', message: `must be a list of at most ${LIMITS.entriesAtOnce}` }])
  await countEntries(person.id, entries.length)
  await turn()
  const results = addEntries(database(event), { siteId: site, wall }, by, entries, now())
  tellWall(firmOf(event).id, site, wall, {
    kind: 'log',
    entries: results.flatMap(result => ('entry' in result ? [result.entry] : [])),
  })
  return { results }
})
