import { createHash, createPublicKey, verify } from 'node:crypto'
import { and, count, eq, sql } from 'drizzle-orm'
import { signedText, thumbprintText, type LogEntry, type PublicKey } from '../../core/log'
import { perDatabase } from '../database/perDatabase'
import { validationError } from '../utils/apiError'
import { fieldsOf } from '../utils/fields'
import type { Accounts } from './form'
import type { Person } from './people'
import type { SignedIn } from './sessions'
import { people, sessionKeys, sessions } from './schema'

/** A device makes one key a session; tabs that begin at once may make one each. */
const KEYS_OF_SESSION = 8
/** So far the clock of a device may be off, ms. */
const CLOCK = 10 * 60_000

const keyOfId = perDatabase((accounts: Accounts) => accounts
  .select({ jwk: sessionKeys.jwk, beganAt: sessions.beganAt, endedAt: sessions.endedAt, person: people.key })
  .from(sessionKeys).innerJoin(sessions, eq(sessions.key, sessionKeys.session))
  .innerJoin(people, eq(people.key, sessions.person)).where(eq(sessionKeys.id, sql.placeholder('id'))).prepare())

/** A public key as it was sent. @throws 422 where it is no point of P-256 */
function publicKey(given: unknown): PublicKey {
  const { kty, crv, x, y } = fieldsOf(given)
  try {
    if (kty !== 'EC' || crv !== 'P-256' || typeof x !== 'string' || typeof y !== 'string')
      throw new Error('of another kind')
    createPublicKey({ key: { kty, crv, x, y }, format: 'jwk' })
    return { kty, crv, x, y }
  }
  catch {
    throw validationError([{ path: '$.key', message: 'must be a public key of ECDSA on P-256, as a JSON Web Key' }])
  }
}

/**
 * Keeps the public key of a device for the session of the person who is signed in on it; the same key again is the
 * same. @returns its id @throws 422 where it is none, belongs to another session, or the session has many already
 */
export function registerKey(
  accounts: Accounts,
  { session }: Pick<SignedIn, 'session'>,
  given: unknown,
  at: string,
): string {
  const jwk = publicKey(given)
  const id = createHash('sha256').update(thumbprintText(jwk)).digest('base64url')
  return accounts.transaction(
    () => {
      const { key } = accounts.select({ key: sessions.key }).from(sessions).where(eq(sessions.id, session)).get()!
      const known = accounts
        .select({ session: sessionKeys.session })
        .from(sessionKeys)
        .where(eq(sessionKeys.id, id))
        .get()
      if (known?.session === key) return id
      const { n } = accounts
        .select({ n: count() })
        .from(sessionKeys)
        .where(and(eq(sessionKeys.session, key)))
        .get()!
      if (known || n >= KEYS_OF_SESSION) {
        const message = known
          ? 'belongs to another session'
          : `is one too many: a session has at most ${KEYS_OF_SESSION}`
        throw validationError([{ path: '$.key', message }])
      }
      accounts.insert(sessionKeys).values({ session: key, id, jwk, madeAt: at }).run()
      return id
    },
    { behavior: 'immediate' },
  )
}

/** Whether the signature of an entry proves that a person made it, in a session of his; and why not. */
export type Proof = { is: 'proof' } | { is: 'none' | 'forged', why: string }

const none = (why: string): Proof => ({ is: 'none', why })

function fits(jwk: PublicKey, entry: LogEntry, sig: string): boolean {
  const key = createPublicKey({ key: { ...jwk }, format: 'jwk' })
  return verify(
    'sha256',
    Buffer.from(signedText(entry)),
    { key, dsaEncoding: 'ieee-p1363' },
    Buffer.from(sig, 'base64url'),
  )
}

/** Looks at the signature of an entry that names a person, against the life of the session whose key it names. */
export function proofOf(accounts: Accounts, entry: Record<string, unknown>, person: Pick<Person, 'key' | 'id'>): Proof {
  const { key, sig, at } = entry
  if (typeof key !== 'string' || typeof sig !== 'string') return none('it is not signed')
  const found = keyOfId(accounts).get({ id: key })
  if (!found) return none('it is signed with a key that is not known here')
  if (entry.person !== person.id || found.person !== person.key || !fits(found.jwk, entry as LogEntry, sig)) {
    return {
      is: 'forged',
      why: 'its signature is not of what it says: it was changed after it was made, or made by another person',
    }
  }
  const moment = Date.parse(String(at))
  const isWithin = moment >= Date.parse(found.beganAt) - CLOCK
    && (found.endedAt === null || moment <= Date.parse(found.endedAt) + CLOCK)
  return isWithin ? { is: 'proof' } : none('its time is outside the session in which it was signed')
}
