import type { PasskeySummary } from '../../core/api/people'
import { and, asc, eq } from 'drizzle-orm'
import { notFound } from '../utils/apiError'
import { note } from './audit'
import type { Accounts } from './form'
import type { Person } from './people'
import { passkeys, people } from './schema'

export const listPasskeys = (accounts: Accounts, { key }: Person): PasskeySummary[] =>
  accounts
    .select({ id: passkeys.id, name: passkeys.name, madeAt: passkeys.madeAt })
    .from(passkeys)
    .where(eq(passkeys.person, key))
    .orderBy(asc(passkeys.key))
    .all()

/** A passkey with whose it is. @throws 404 where it is not known here, or its owner was removed */
export function passkeyOf(accounts: Accounts, id: string): { passkey: typeof passkeys.$inferSelect, person: Person } {
  const found = accounts
    .select({ passkey: passkeys, person: people })
    .from(passkeys)
    .innerJoin(people, eq(people.key, passkeys.person))
    .where(eq(passkeys.id, id))
    .get()
  if (!found || found.person.removedAt !== null) throw notFound('a passkey of this device')
  return found
}

export function addPasskey(
  accounts: Accounts,
  person: Person,
  passkey: { id: string, publicKey: string, counter: number, transports: string[] },
  name: string,
  at: string,
): void {
  accounts
    .insert(passkeys)
    .values({ ...passkey, person: person.key, name, madeAt: at })
    .run()
  note(accounts, person.firm, { at, by: person.name, kind: 'passkey', subject: person.name, detail: name })
}

/** Notes how often a passkey was used, by which a copy of it is reported. */
export const countPasskey = (accounts: Accounts, id: string, counter: number): void =>
  void accounts.update(passkeys).set({ counter }).where(eq(passkeys.id, id)).run()

/** Takes a passkey of a person away. @throws 404 */
export function removePasskey(accounts: Accounts, person: Person, id: string, at: string): void {
  const { changes } = accounts.delete(passkeys).where(and(eq(passkeys.person, person.key), eq(passkeys.id, id))).run()
  if (changes === 0) throw notFound('this passkey on your account')
  note(accounts, person.firm, { at, by: person.name, kind: 'passkey-removed', subject: person.name, detail: '' })
}
