import { readAudit } from '../../accounts/audit'
import { firmOf } from '../../accounts/access'
import { accounts } from '../../accounts/open'

/**
 * What was done about people, rights and what leaves the house, the newest first; `?before=` the key of a line for what
 * came before it.
 */
export default defineEventHandler((event) => {
  const before = Number(getQuery(event).before)
  return readAudit(accounts(), firmOf(event).key, Number.isInteger(before) && before > 0 ? before : undefined)
})
