import { database } from '../../../../../../accounts/access'
import { readRevision } from '../../../../../../repositories/revisions'

/** What was frozen under an id: it never changes, so anyone who has it need not ask again. */
export default defineEventHandler((event) => {
  const text = readRevision(
    database(event),
    getRouterParam(event, 'site')!,
    getRouterParam(event, 'wall')!,
    getRouterParam(event, 'revision')!,
  )
  setHeader(event, 'content-type', 'application/json; charset=utf-8')
  setHeader(event, 'cache-control', 'private, max-age=31536000, immutable')
  return text
})
