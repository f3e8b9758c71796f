import { demoPeople, isOffered } from '../../accounts/demo'
import { listFirms } from '../../accounts/firms'
import { accounts } from '../../accounts/open'

/** Who is signed in on the device that asks, of which firm; else how one comes in here. */
export default defineEventHandler((event) => {
  const begun = listFirms(accounts()).length > 0
  const offered = isOffered(getHeader(event, 'host'), getHeader(event, 'x-forwarded-for'))
  const people = offered ? demoPeople(accounts()) : undefined
  const demo = people?.map(({ id, name, role, sites }) => ({ id, name, role, sites }))
  const { signedIn } = event.context
  if (!signedIn) return { begun, demo, ended: event.context.sessionEnded }
  const { person, firm, held, session } = signedIn
  return {
    begun, demo, session,
    person: { id: person.id, name: person.name, address: person.address, role: held.role, sites: held.sites },
    firm: { id: firm.id, name: firm.name, deviceDays: firm.deviceDays, first: firm.folder === '.' },
  }
})
