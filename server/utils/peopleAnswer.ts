import type { H3Event } from 'h3'
import { database, firmOf } from '../accounts/access'
import { listInvitations } from '../accounts/invitations'
import { accounts } from '../accounts/open'
import { listPeople } from '../accounts/people'
import { openLinks } from '../repositories/links'
import { timeNow } from './clock'

/** The people of the firm that is asked about, who is invited, and which clients' links are open. */
export const peopleAnswer = (event: H3Event) => ({
  people: listPeople(accounts(), firmOf(event).key),
  invitations: listInvitations(accounts(), firmOf(event).key, timeNow()),
  links: openLinks(database(event), timeNow())
    .map(({ site, wall, client, madeBy, expiresAt }) => ({ site, wall, client, madeBy, expiresAt })),
})
