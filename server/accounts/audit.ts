import { and, desc, eq, lt } from 'drizzle-orm'
import type { Accounts } from './form'
import { audit } from './schema'

/** What was done about people, rights and what leaves the house, when and by whom. */
export interface AuditLine { key: number, at: string, by: string, kind: string, subject: string, detail: string }

/** So many lines come at a time. */
const PAGE = 200

/** Adds a line to the audit of a firm. */
export const note = (accounts: Accounts, firm: number, line: Omit<AuditLine, 'key'>): void =>
  void accounts.insert(audit).values({ firm, ...line }).run()

/** The audit of a firm, the newest first. @param before only lines that came before this one */
export const readAudit = (accounts: Accounts, firm: number, before = Number.MAX_SAFE_INTEGER): AuditLine[] =>
  accounts.select({ key: audit.key, at: audit.at, by: audit.by, kind: audit.kind, subject: audit.subject, detail: audit.detail })
    .from(audit).where(and(eq(audit.firm, firm), lt(audit.key, before))).orderBy(desc(audit.key)).limit(PAGE).all()
