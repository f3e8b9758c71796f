import type { PersonSummary, RoleChoice } from '../../core/api/people'
import { randomUUID } from 'node:crypto'
import { and, asc, eq, isNull, sql } from 'drizzle-orm'
import { heldNow, isBySite, isStaffRole, ROLE_WORDS, STAFF, type Grant, type StaffRole } from '../../core/people'
import { atomically } from '../database/atomically'
import { perDatabase } from '../database/perDatabase'
import { apiError, notFound, validationError } from '../utils/apiError'
import { note } from './audit'
import { nameFault } from './firms'
import type { Accounts } from './form'
import { grants, invitations, passkeys, people, sessions } from './schema'
import type { By } from '../utils/by'

/** A person of a firm. */
export type Person = typeof people.$inferSelect

const MOST_SITES = 2_000
export const addressOf = (given: unknown): string => typeof given === 'string' ? given.trim().toLowerCase() : ''

/** What is wrong with an e-mail address. */
export const addressFault = (path: string, given: unknown): { path: string, message: string }[] =>
  /^[^\s@]+@[^\s@]+$/.test(addressOf(given)) && addressOf(given).length <= 200
    ? []
    : [{ path, message: 'must be an e-mail address such as name@firm.example' }]

/** A role and its sites as they were sent. @throws 422 with every fault */
export function roleChoice({ role, sites = [] }: { role?: unknown, sites?: unknown }): RoleChoice {
  const faults = [
    ...(isStaffRole(role) ? [] : [{ path: '$.role', message: `must be one of ${STAFF.join(', ')}` }]),
    ...(Array.isArray(sites) && sites.length <= MOST_SITES && sites.every(site => typeof site === 'string')
      ? []
      : [{ path: '$.sites', message: 'must be a list of sites' }]),
  ]
  if (faults.length > 0) throw validationError(faults)
  return { role: role as StaffRole, sites: isBySite(role as StaffRole) ? [...new Set(sites as string[])].sort() : [] }
}

const everyGrant = perDatabase((accounts: Accounts) =>
  accounts
    .select({ role: grants.role, sites: grants.sites, from: grants.from, to: grants.to })
    .from(grants)
    .where(eq(grants.person, sql.placeholder('person')))
    .orderBy(asc(grants.key))
    .prepare(),
)

/** Everything that a person ever held, in order. */
export const grantsOf = (accounts: Accounts, person: number): Grant[] => everyGrant(accounts).all({ person })

/** People of an address who are still there, one a firm. */
export const peopleOfAddress = (accounts: Accounts, address: string): Person[] =>
  accounts
    .select()
    .from(people)
    .where(and(eq(people.address, addressOf(address)), isNull(people.removedAt)))
    .orderBy(asc(people.key))
    .all()

/** A person of a firm, there or removed. */
export const personOfId = (accounts: Accounts, firm: number, id: string): Person | undefined =>
  accounts.select().from(people).where(and(eq(people.firm, firm), eq(people.id, id))).get()

/** A person of a firm who is there. @throws 404 */
export function personHere(accounts: Accounts, firm: number, id: string): Person {
  const person = personOfId(accounts, firm, id)
  if (!person || person.removedAt !== null) throw notFound('this person in the firm')
  return person
}

/** The people of a firm who are there. */
export function listPeople(accounts: Accounts, firm: number): PersonSummary[] {
  return accounts
    .select()
    .from(people)
    .where(and(eq(people.firm, firm), isNull(people.removedAt)))
    .orderBy(asc(people.name))
    .all()
    .flatMap(({ key, id, name, address, password }) => {
      const held = heldNow(grantsOf(accounts, key))
      if (!held) return []
      const seen = accounts
        .select({ seenAt: sessions.seenAt })
        .from(sessions)
        .where(eq(sessions.person, key))
        .all()
        .map(({ seenAt }) => seenAt)
        .sort()
        .at(-1)
      const keys = accounts.select({ key: passkeys.key }).from(passkeys).where(eq(passkeys.person, key)).all().length
      return [
        {
          id,
          name,
          address,
          role: held.role,
          sites: [...held.sites],
          hasPassword: password !== null,
          passkeys: keys,
          seenAt: seen ?? null,
        },
      ]
    })
}

/**
 * Takes a person into a firm. One who was removed earlier is himself again, with what he held before.
 *
 * @throws 409 where a person of the firm has this address, 422 with every fault
 */
export function addPerson(
  accounts: Accounts,
  firm: number,
  { name, address, password, role, sites }: RoleChoice & { name: unknown, address: unknown, password: string | null },
  at: string,
): Person {
  const faults = [...nameFault('$.name', name), ...addressFault('$.address', address)]
  if (faults.length > 0) throw validationError(faults)
  const known = accounts
    .select()
    .from(people)
    .where(and(eq(people.firm, firm), eq(people.address, addressOf(address))))
    .get()
  if (known && known.removedAt === null)
    throw apiError(
      409,
      'address-taken',
      `${known.name} already has this address. Each person needs their own address to sign in.`,
    )
  const given = { name: String(name).trim(), address: addressOf(address), password, removedAt: null }
  return atomically(accounts, () => {
    if (known) accounts.update(people).set(given).where(eq(people.key, known.key)).run()
    const key
      = known?.key
        ?? Number(
          accounts
            .insert(people)
            .values({ ...given, firm, id: randomUUID() })
            .run().lastInsertRowid,
        )
    accounts.insert(grants).values({ person: key, role, sites, from: at }).run()
    return accounts.select().from(people).where(eq(people.key, key)).get()!
  })
}

/** @throws 409 where a person is the last who may see to people */
function checkPlannerLeft(accounts: Accounts, firm: number, id: string): void {
  const others = listPeople(accounts, firm).filter(({ role, ...other }) => role === 'planner' && other.id !== id)
  if (others.length === 0)
    throw apiError(
      409,
      'last-planner',
      'This is the only planner in the firm, and a firm needs one to invite people and change roles. Make another '
      + 'person a planner first.',
    )
}

const said = ({ role, sites }: RoleChoice) =>
  isBySite(role)
    ? `${ROLE_WORDS[role].title}, on ${sites.length === 0 ? 'no site' : sites.join(', ')}`
    : ROLE_WORDS[role].title

/** Ends the open invitations that a person made, and the links by which he himself could come in again. */
function endInvitationsOf(accounts: Accounts, { key, firm, name }: Person, by: string, at: string): void {
  const open = and(eq(invitations.firm, firm), isNull(invitations.usedAt), isNull(invitations.endedAt))
  const his = accounts.select().from(invitations).where(open).all()
    .filter(each => each.madeBy === name || each.person === key)
  for (const each of his) {
    accounts.update(invitations).set({ endedAt: at }).where(eq(invitations.key, each.key)).run()
    note(accounts, firm, { at, by, kind: 'invitation-ended', subject: each.name, detail: `made by ${each.madeBy}` })
  }
}

/** Gives a person another role, or other sites, from now on. @throws 404; 409 for the last planner */
export function changeRole(
  accounts: Accounts,
  firm: number,
  id: string,
  choice: RoleChoice,
  { by, at }: By,
): void {
  const person = personHere(accounts, firm, id)
  atomically(accounts, () => {
    if (choice.role !== 'planner') checkPlannerLeft(accounts, firm, id)
    accounts
      .update(grants)
      .set({ to: at })
      .where(and(eq(grants.person, person.key), isNull(grants.to)))
      .run()
    accounts
      .insert(grants)
      .values({ person: person.key, ...choice, from: at })
      .run()
    if (choice.role !== 'planner') endInvitationsOf(accounts, person, by, at)
    note(accounts, firm, { at, by, kind: 'role', subject: person.name, detail: said(choice) })
  })
}

/** Removes a person: what he recorded stays, he comes in no more. @throws 404; 409 for the last planner */
export function removePerson(accounts: Accounts, firm: number, id: string, by: string, at: string): void {
  const person = personHere(accounts, firm, id)
  atomically(accounts, () => {
    checkPlannerLeft(accounts, firm, id)
    accounts.update(grants).set({ to: at }).where(and(eq(grants.person, person.key), isNull(grants.to))).run()
    accounts.update(people).set({ removedAt: at, password: null }).where(eq(people.key, person.key)).run()
    accounts
      .update(sessions)
      .set({ endedAt: at, endedBy: by })
      .where(and(eq(sessions.person, person.key), isNull(sessions.endedAt)))
      .run()
    accounts.delete(passkeys).where(eq(passkeys.person, person.key)).run()
    endInvitationsOf(accounts, person, by, at)
    note(accounts, firm, { at, by, kind: 'removed', subject: person.name, detail: '' })
  })
}

/** Sets the password of a person, as scrypt has made of it; his other sessions and his links for another end. */
export function setPassword(
  accounts: Accounts,
  { key, firm, name }: Person,
  password: string,
  { by, at }: By,
  except?: string,
): void {
  atomically(accounts, () => {
    accounts.update(people).set({ password }).where(eq(people.key, key)).run()
    for (const { id } of accounts
      .select({ id: sessions.id })
      .from(sessions)
      .where(and(eq(sessions.person, key), isNull(sessions.endedAt)))
      .all()) {
      if (id !== except)
        accounts.update(sessions).set({ endedAt: at, endedBy: 'a new password' }).where(eq(sessions.id, id)).run()
    }
    const resets = and(eq(invitations.person, key), isNull(invitations.usedAt), isNull(invitations.endedAt))
    accounts.update(invitations).set({ endedAt: at }).where(resets).run()
    note(accounts, firm, { at, by, kind: 'password', subject: name, detail: '' })
  })
}
