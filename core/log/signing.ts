import canonicalize from 'canonicalize'
import type { LogEntry } from './entry'

/** What a server sets or adds: a signature made on the device says nothing of it. */
const NOT_SIGNED = ['by', 'sentBy', 'acceptedBy', 'late', 'seq', 'receivedAt', 'prev', 'hash', 'sig'] as const

/**
 * The text that the signature of an entry covers: its canonical JSON (RFC 8785) without what a server sets. The id of
 * the key is part of it, the name of the person is not: names change, his id does not.
 *
 * @example signedText({ id: 'e1', by: 'Odd', wall: 'w1', kind: 'remark', note: 'dry', at: '2026-11-20T09:00:00Z' })
 * // '{"at":"2026-11-20T09:00:00Z","id":"e1","kind":"remark","note":"dry","wall":"w1"}'
 */
export function signedText(entry: LogEntry): string {
  const told: Record<string, unknown> = { ...entry }
  for (const field of NOT_SIGNED) Reflect.deleteProperty(told, field)
  return canonicalize(told)!
}

/** A public key of ECDSA on P-256 as a JSON Web Key has it (RFC 7518, 6.2.1): the point's coordinates in base64url. */
export interface PublicKey { kty: 'EC', crv: 'P-256', x: string, y: string }

/** What the thumbprint of a key is the SHA-256 of (RFC 7638, 3.2): the id by which entries name it, in base64url. */
export const thumbprintText = ({ crv, kty, x, y }: PublicKey): string => JSON.stringify({ crv, kty, x, y })
