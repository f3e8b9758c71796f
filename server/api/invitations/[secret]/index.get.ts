import { listFirms } from '../../../accounts/firms'
import { openInvitation } from '../../../accounts/invitations'
import { accounts } from '../../../accounts/open'
import { opened } from '../../../guard/limits'
import { timeNow } from '../../../utils/clock'

/** What a link for coming in is for: who it was made for, as what, into which firm. */
export default defineEventHandler(event => opened(event, () => {
  const { kind, name, address, role, firm, expiresAt } = openInvitation(
    accounts(),
    getRouterParam(event, 'secret')!,
    ['join', 'reset'],
    timeNow(),
  )
  return { kind, name, address, role, firm: listFirms(accounts()).find(({ key }) => key === firm)!.name, expiresAt }
}))
