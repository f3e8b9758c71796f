import type { H3Event } from 'h3'
import { note } from '../accounts/audit'
import { author, firmOf } from '../accounts/access'
import { accounts } from '../accounts/open'
import { now } from './now'

/** Notes in the firm's audit what is done by the caller. */
export const audited = (event: H3Event, kind: string, subject: string, detail = ''): void =>
  note(accounts(), firmOf(event).key, { at: now(), by: author(event), kind, subject, detail })
