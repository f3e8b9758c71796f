import { demoPeople, isOffered } from '../../accounts/demo'
import { listFirms } from '../../accounts/firms'
import { accounts } from '../../accounts/open'

/** Who is signed in on the device that asks, of which firm; else how one comes in here. */
export default defineEventHandler((event) => {
  const begun = listFirms(accounts()).length > 0
  const demo = isOffered(getHeader(event, 'host'), getHeader(event, 'x-forwarded-for')) ? demoPeople(accounts()).map(({ id, name, role, sites }) => ({ id, name, role, sites })) : undefined
  const { signedIn } = event.context
  if (!signedIn) return { begun, demo, ended: event.context.sessionEnded }
  const { person, firm, held, session } = signedIn
  return {
    begun, demo, session,
    person: { id: person.id, name: person.name, address: person.address, role: held.role, sites: held.sites },
    firm: { id: firm.id, name: firm.name, deviceDays: firm.deviceDays, first: firm.folder === '.' },
  }
})
