import type { H3Event } from 'h3'
import { firmOf } from '../accounts/access'
import { listInvitations } from '../accounts/invitations'
import { accounts } from '../accounts/open'
import { listPeople } from '../accounts/people'

/** The people of the firm that is asked about, and who is invited. */
export const peopleAnswer = (event: H3Event) => ({ people: listPeople(accounts(), firmOf(event).key), invitations: listInvitations(accounts(), firmOf(event).key, new Date()) })
