import { auditState, signAudit } from '../../accounts/audit'
import { firmOf } from '../../accounts/access'
import { accounts } from '../../accounts/open'
import { now } from '../../utils/now'

/** Whether the audit of the firm is whole: how many lines it has, its code, and the first line that does not hold. */
export default defineEventHandler((event) => {
  const { key } = firmOf(event)
  signAudit(accounts(), key, now())
  return auditState(accounts(), key)
})
