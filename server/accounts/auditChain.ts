import { createHash } from 'node:crypto'
import canonicalize from 'canonicalize'
import type SQLite from 'better-sqlite3'

/** What a line of the audit says. */
export interface AuditSaid { at: string, by: string, kind: string, subject: string, detail: string }
/** The end of an audit: how many lines it has, and the hash of the last. */
export interface AuditEnd { seq: number, hash: string }

export const EMPTY_AUDIT: AuditEnd = { seq: 0, hash: '' }

/** A line's place after another: SHA-256 over its canonical JSON (RFC 8785), its number and the hash before it. */
export function follows({ seq, hash: prev }: AuditEnd, { at, by, kind, subject, detail }: AuditSaid): AuditEnd {
  const text = canonicalize({ seq: seq + 1, prev, at, by, kind, subject, detail })!
  return { seq: seq + 1, hash: createHash('sha256').update(text).digest('hex') }
}

/**
 * The first line of an audit that does not follow from those before it; undefined where all do.
 *
 * @param lines in their order
 */
export function brokenLine<Line extends AuditSaid & AuditEnd>(lines: Iterable<Line>): Line | undefined {
  let end = EMPTY_AUDIT
  for (const line of lines) {
    const right = follows(end, line)
    if (line.seq !== right.seq || line.hash !== right.hash) return line
    end = right
  }
  return undefined
}

type Row = AuditSaid & { key: number, firm: number }

/** Chains what an audit had before it was chained: what was done until then is as it was found. */
export function chainAudits(sqlite: SQLite.Database): void {
  const ends = new Map<number, AuditEnd>()
  const update = sqlite.prepare('UPDATE audit SET seq = ?, hash = ? WHERE key = ?')
  const lines = sqlite.prepare('SELECT * FROM audit ORDER BY key').all() as Row[]
  for (const line of lines) {
    const end = follows(ends.get(line.firm) ?? EMPTY_AUDIT, line)
    ends.set(line.firm, end)
    update.run(end.seq, end.hash, line.key)
  }
}
