import { dateText } from '../dates'
import { headCode } from './head'
import type { LogEntry } from './entry'

/** The head of a site's log as a server signed it (Ed25519, RFC 8032). */
export interface SignedHead {
  /** How many entries the log had, and the hash of the last of them. */
  seq: number
  hash: string
  /** When it was signed, by the server's clock. */
  at: string
  /** The public key, 32 bytes, and the signature of `headText`, 64 bytes, both in base64url. */
  key: string
  sig: string
}

/** What a server signs of a head: whose log it is, its code, and when. */
export const headText = (site: string, { seq, hash, at }: Pick<SignedHead, 'seq' | 'hash' | 'at'>): string =>
  `wide-trellis-head;${site};${headCode({ seq, hash })};${at}`

/**
 * A signed head as one line, for a QR code: what was signed, and the signature.
 *
 * @example headProof('holm-point', head) // 'wide-trellis-head;holm-point;24-Y7HA-0B2C-9DEF-GHJK;2026-11-20T…;mF3…'
 */
export const headProof = (site: string, head: SignedHead): string => `${headText(site, head)};${head.sig}`

/** A head as it was typed or scanned: its code, and where it was scanned what was signed and by which signature. */
export interface GivenHead { code: string, site?: string, at?: string, text?: string, sig?: string }

/** Reads either form of a head: the code that is printed in letters, or the line of the QR code. */
export function givenHead(given: string): GivenHead {
  const parts = given.trim().split(';')
  const [form, site, code, at, sig] = parts
  if (form !== 'wide-trellis-head' || parts.length !== 5) return { code: given }
  return { code: code!, site: site!, at: at!, sig: sig!, text: parts.slice(0, 4).join(';') }
}

/**
 * What speaks against a log having gone on from heads that were signed of it: the first that it does not have.
 *
 * @param log whose chain is whole
 */
export function headsFault(log: LogEntry[], heads: SignedHead[]): string | undefined {
  const hashes = new Map(log.flatMap(({ seq, hash }) => seq === undefined ? [] : [[seq, hash]]))
  const lost = heads.find(head => hashes.get(head.seq) !== head.hash)
  if (!lost) return undefined
  const [day, time] = [dateText(lost.at, 'UTC'), lost.at.slice(11, 16)]
  const signed = `${lost.seq === 1 ? '1 entry was' : `${lost.seq} entries were`} signed for on ${day}, ${time} UTC`
  return hashes.has(lost.seq)
    ? `${signed}, and entry ${lost.seq} is another one now: the log was written anew`
    : `${signed}, and the log has ${hashes.size}: its end is missing`
}

/**
 * Entries of a wall that were in its log once and are there no more, or are others: a device that keeps what it has
 * seen of a log finds that it was cut or written anew.
 *
 * @param known the log as it was seen, entries that no server had yet aside
 * @param now the log as it is
 */
export function lostEntries(known: LogEntry[], now: LogEntry[]): LogEntry[] {
  const hashes = new Map(now.map(({ id, hash }) => [id, hash]))
  return known.filter(({ id, hash }) => hash !== undefined && hashes.get(id) !== hash)
}
