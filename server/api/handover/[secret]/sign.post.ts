import { database, firmOf, openedLink } from '../../../accounts/access'
import { clientAuthor } from '../../../accounts/authorship'
import { tellWall } from '../../../events/hub'
import { addEntries } from '../../../repositories/log'
import { validationError } from '../../../utils/apiError'
import { now } from '../../../utils/now'
import { fieldsOf } from '../../../utils/fields'
import { jsonBody } from '../../../utils/jsonBody'

/**
 * A client signs, and may remark on something: `{ id, name, role, ink, remark }`. The same id once more is the same
 * signature.
 */
export default defineEventHandler(async (event) => {
  const { site, wall, link } = openedLink(event)
  const { id, name, role, ink, remark } = fieldsOf(await jsonBody(event))
  if (!Array.isArray(ink) || ink.length === 0) throw validationError([{ path: '$.ink', message: 'is missing: sign in the field' }])
  const by = typeof name === 'string' ? name.trim() : ''
  const about = { at: now(), by, wall }
  const results = addEntries(database(event), site, wall, clientAuthor, [
    { ...about, id, kind: 'signed', name: by, ...typeof role === 'string' && role.trim() && { role: role.trim() }, ink, link: link.id },
    ...typeof remark === 'string' && remark.trim() ? [{ ...about, id: `${String(id)}-remark`, kind: 'remark', note: remark.trim() }] : [],
  ], now())
  const refused = results.find(result => 'error' in result)
  if (refused && 'error' in refused) throw validationError(refused.error.faults ?? [{ path: '$', message: refused.error.message }])
  tellWall(firmOf(event).id, site, wall, { kind: 'log', entries: results.flatMap(result => 'entry' in result ? [result.entry] : []) })
  setResponseStatus(event, 201)
  return { signed: true }
})
