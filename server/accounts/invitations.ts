import type { InvitationSummary, RoleChoice } from '../../core/api/people'
import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { and, desc, eq, isNull } from 'drizzle-orm'
import { isBySite, ROLE_WORDS } from '../../core/people'
import { apiError, notFound, validationError } from '../utils/apiError'
import { note } from './audit'
import { nameFault } from './firms'
import type { Accounts } from './form'
import { addressFault, addressOf, peopleOfAddress, type Person } from './people'
import { invitations } from './schema'

/** A link by which a person is to come in. */
export type Invitation = typeof invitations.$inferSelect

const DAY = 86_400_000
/** A link for coming in holds for so many days. */
const HOLDS = 7
export const digest = (secret: string): string => createHash('sha256').update(secret).digest('hex')

type NewInvitation = Pick<Invitation, 'kind' | 'firm' | 'person' | 'name' | 'address' | 'madeBy'> & RoleChoice

function keep(accounts: Accounts, secret: string, invitation: NewInvitation, now: Date): void {
  accounts
    .insert(invitations)
    .values({
      ...invitation,
      id: randomUUID(),
      secret: digest(secret),
      madeAt: now.toISOString(),
      expiresAt: new Date(now.getTime() + HOLDS * DAY).toISOString(),
    })
    .run()
}

/**
 * Invites a person into a firm. @returns the secret of the link, which is shown once. @throws 422 with every fault, 409
 * where the address is taken
 */
export function invite(
  accounts: Accounts,
  firm: number,
  { name, address, role, sites }: RoleChoice & { name: unknown, address: unknown },
  by: string,
  now: Date,
): string {
  const faults = [...nameFault('$.name', name), ...addressFault('$.address', address)]
  if (faults.length > 0) throw validationError(faults)
  const taken = peopleOfAddress(accounts, addressOf(address)).find(person => person.firm === firm)
  if (taken)
    throw apiError(
      409,
      'address-taken',
      `${taken.name} already has this address. Each person needs their own address to sign in.`,
    )
  const secret = randomBytes(24).toString('base64url')
  keep(
    accounts,
    secret,
    {
      kind: 'join',
      firm,
      person: null,
      name: String(name).trim(),
      address: addressOf(address),
      role,
      sites,
      madeBy: by,
    },
    now,
  )
  note(accounts, firm, {
    at: now.toISOString(),
    by,
    kind: 'invited',
    subject: String(name).trim(),
    detail: `${ROLE_WORDS[role].title}${isBySite(role) ? `, on ${sites.join(', ') || 'no site'}` : ''}`,
  })
  return secret
}

/** Makes a link by which a person sets a new password. @returns its secret, which is shown once */
export function inviteToReset(accounts: Accounts, person: Person, choice: RoleChoice, by: string, now: Date): string {
  const secret = randomBytes(24).toString('base64url')
  keep(
    accounts,
    secret,
    {
      kind: 'reset',
      firm: person.firm,
      person: person.key,
      name: person.name,
      address: person.address,
      ...choice,
      madeBy: by,
    },
    now,
  )
  note(accounts, person.firm, { at: now.toISOString(), by, kind: 'reset', subject: person.name, detail: '' })
  return secret
}

/**
 * Makes a code by which a firm and its first planner are begun; codes that were not used end. @returns the code, which
 * is shown once
 */
export function codeForFirm(accounts: Accounts, now: Date): string {
  // Typed manually from the window where the server runs: letters that cannot be mistaken.
  const code = [...randomBytes(12)]
    .map(byte => 'abcdefghjkmnpqrstuvwxyz23456789'[byte % 31])
    .join('')
    .replace(/(.{4})(?=.)/g, '$1-')
  accounts
    .update(invitations)
    .set({ endedAt: now.toISOString() })
    .where(and(eq(invitations.kind, 'firm'), isNull(invitations.usedAt), isNull(invitations.endedAt)))
    .run()
  keep(
    accounts,
    code,
    { kind: 'firm', firm: null, person: null, name: '', address: '', role: 'planner', sites: [], madeBy: 'The server' },
    now,
  )
  return code
}

/** A code as it was printed, in whatever case it is entered and with or without its dashes. */
const printedCode = (typed: string): string =>
  typed.toLowerCase().replace(/[^a-z0-9]/g, '').replace(/(.{4})(?=.)/g, '$1-')

/**
 * The invitation that a secret opens.
 *
 * @throws 404 where there is none, 410 where it was used, has ended or was taken back
 */
export function openInvitation(accounts: Accounts, secret: string, kinds: Invitation['kind'][], now: Date): Invitation {
  const bySecret = (secret: string) =>
    accounts
      .select()
      .from(invitations)
      .where(eq(invitations.secret, digest(secret)))
      .get()
  const found = bySecret(secret.trim()) ?? bySecret(printedCode(secret))
  if (!found || !kinds.includes(found.kind))
    throw kinds.includes('firm')
      ? apiError(
          404,
          'wrong-code',
          'This is not the code that the server printed when it started. Check the server’s output.',
        )
      : notFound('this link. Ask a planner of your firm for a new one')
  const gone = (why: string) => apiError(410, 'link-ended', `${why} Ask a planner of your firm for a new one.`)
  if (found.usedAt !== null)
    throw gone(
      found.kind === 'firm'
        ? 'This code has already been used.'
        : 'This link has already been used. Sign in with the password that was set with it.',
    )
  if (found.endedAt !== null) throw gone('This link was revoked.')
  if (Date.parse(found.expiresAt) <= now.getTime()) throw gone(`This link expired on ${found.expiresAt.slice(0, 10)}.`)
  return found
}

export const markUsed = (accounts: Accounts, { key }: Invitation, at: string): void =>
  void accounts.update(invitations).set({ usedAt: at }).where(eq(invitations.key, key)).run()

/** Invitations of a firm that still hold. */
export const listInvitations = (accounts: Accounts, firm: number, now: Date): InvitationSummary[] =>
  accounts
    .select()
    .from(invitations)
    .where(and(eq(invitations.firm, firm), isNull(invitations.usedAt), isNull(invitations.endedAt)))
    .orderBy(desc(invitations.key))
    .all()
    .filter(({ expiresAt }) => Date.parse(expiresAt) > now.getTime())
    .map(({ id, kind, name, address, role, sites, madeBy, madeAt, expiresAt }) => ({
      id,
      kind,
      name,
      address,
      role,
      sites,
      madeBy,
      madeAt,
      expiresAt,
    }))

/** Takes an invitation back. @throws 404 */
export function endInvitation(accounts: Accounts, firm: number, id: string, by: string, at: string): void {
  const found = accounts.select().from(invitations).where(and(eq(invitations.firm, firm), eq(invitations.id, id))).get()
  if (!found) throw notFound('this invitation')
  accounts.update(invitations).set({ endedAt: at }).where(eq(invitations.key, found.key)).run()
  note(accounts, firm, { at, by, kind: 'invitation-ended', subject: found.name, detail: '' })
}
