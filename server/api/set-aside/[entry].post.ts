import { note } from '../../accounts/audit'
import { author, database, firmOf } from '../../accounts/access'
import { accounts } from '../../accounts/open'
import { tellWall } from '../../events/hub'
import { acceptAside } from '../../repositories/log'
import { listAside, resolveAside } from '../../repositories/setAside'
import { notFound } from '../../utils/apiError'
import { fieldsOf } from '../../utils/fields'
import { jsonBody } from '../../utils/jsonBody'
import { now } from '../../utils/now'

/** Takes an entry that waits into the log, or declines it: `{ accept: true | false }`. */
export default defineEventHandler(async (event) => {
  const { accept } = fieldsOf(await jsonBody(event))
  const [db, key, by, firm] = [database(event), Number(getRouterParam(event, 'entry')), author(event), firmOf(event)]
  const waiting = listAside(db).find(each => each.key === key)
  if (!waiting) throw notFound('an entry waiting under this number')
  const { entry } = waiting
  if (accept === true)
    tellWall(firm.id, waiting.site, waiting.wall, { kind: 'log', entries: [acceptAside(db, key, by, now())] })
  else resolveAside(db, key, false, by, now())
  note(accounts(), firm.key, {
    at: now(),
    by,
    kind: accept === true ? 'entry-accepted' : 'entry-declined',
    subject: entry.by,
    detail: `${entry.kind}, ${waiting.siteName}, ${waiting.wall}`,
  })
  return listAside(db)
})
