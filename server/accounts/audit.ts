import type { AuditLine, AuditState } from '../../core/api/people'
import { and, asc, desc, eq, lt } from 'drizzle-orm'
import { headCode } from '../../core/log'
import { signerOf } from '../guard/headKey'
import { brokenLine, EMPTY_AUDIT, follows } from './auditChain'
import type { Accounts } from './form'
import { audit, firms } from './schema'

/** So many lines come at a time. */
const PAGE = 200
/** The name under which the heads of an audit are signed, among the ids of sites. */
const OF = 'audit log'

const idOf = (accounts: Accounts, firm: number): string =>
  accounts.select({ id: firms.id }).from(firms).where(eq(firms.key, firm)).get()!.id

/** Adds a line to the audit of a firm. */
export function note(accounts: Accounts, firm: number, line: Omit<AuditLine, 'key'>): void {
  const last = accounts.select({ seq: audit.seq, hash: audit.hash }).from(audit).where(eq(audit.firm, firm))
    .orderBy(desc(audit.key)).limit(1).get()
  const end = follows(last ?? EMPTY_AUDIT, line)
  accounts.insert(audit).values({ firm, ...line, ...end }).run()
}

/** Signs the head of a firm's audit, if it has grown enough; not within a transaction that may still be undone. */
export function signAudit(accounts: Accounts, firm: number, at: string): void {
  const signer = signerOf(idOf(accounts, firm))
  const end = accounts.select({ seq: audit.seq, hash: audit.hash }).from(audit).where(eq(audit.firm, firm))
    .orderBy(desc(audit.key)).limit(1).get()
  if (end && signer?.isDue(OF, end.seq, at)) signer.sign(OF, end, at)
}

/** The audit of a firm, the newest first. @param before only lines that came before this one */
export const readAudit = (accounts: Accounts, firm: number, before = Number.MAX_SAFE_INTEGER): AuditLine[] =>
  accounts
    .select({
      key: audit.key, at: audit.at, by: audit.by, kind: audit.kind, subject: audit.subject, detail: audit.detail,
    })
    .from(audit).where(and(eq(audit.firm, firm), lt(audit.key, before))).orderBy(desc(audit.key)).limit(PAGE).all()

/** Whether the audit of a firm is whole: each line follows from those before it, and every signed head is there. */
export function auditState(accounts: Accounts, firm: number): AuditState {
  const lines = accounts.select().from(audit).where(eq(audit.firm, firm)).orderBy(asc(audit.key)).all()
  const broken = brokenLine(lines)
  const head = lines.length > 0 && !broken ? headCode(lines.at(-1)!) : undefined
  const lost = signerOf(idOf(accounts, firm))?.kept(OF).find(({ seq, hash }) => lines[seq - 1]?.hash !== hash)
  return {
    lines: lines.length,
    ...(head !== undefined && { head }),
    ...(broken && { broken: { at: broken.at, number: broken.seq } }),
    ...(lost && { lost: `${lost.seq} lines were signed for on ${lost.at}, and they are not what is here now` }),
  }
}
