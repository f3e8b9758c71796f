import { heldAt, may, ROLE_WORDS, RIGHTS, type Action, type Grant } from '../../core/people'
import type { Accounts } from './form'
import { proofOf, type Proof } from './keys'
import { grantsOf, personOfId, type Person } from './people'
import type { SignedIn } from './sessions'

/** Where an entry is made. */
export interface EntryPlace { site: string, closed: boolean }

/** An entry as it came, with who made it on the server's word, and whether it is taken. */
export type Authored
  = { entry: unknown, verdict: 'taken' }
  /** Its author had the right, but not then: a planner decides. */
    | { entry: unknown, verdict: 'set-aside', reason: string }
    | { entry: unknown, verdict: 'refused', reason: string }

/** Says of an entry who made it, and whether he might. */
export type Author = (entry: unknown, action: Action, place: EntryPlace, receivedAt: string) => Authored

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const isBefore = (a: unknown, b: string) => typeof a === 'string' && Date.parse(a) < Date.parse(b)

/**
 * The author of what a session sends. Who made an entry is who was signed in on the device then, as the entry says by
 * his id; his name is the server's. Where he is not who sends it, or has lost the right since, the signature of his
 * device proves it (`keys.ts`), and a planner decides about what proves nothing. What was never his to do is refused.
 */
export function authorOf(accounts: Accounts, { person, firm }: SignedIn): Author {
  /** Of many entries that come at once most are by one. */
  const known = new Map<string, Known | undefined>()
  function read(id: string): Known | undefined {
    const who = id === person.id ? person : personOfId(accounts, firm.key, id)
    return who && { who, grants: grantsOf(accounts, who.key), sender: person }
  }
  function authored(id: string) {
    if (!known.has(id)) known.set(id, read(id))
    return known.get(id)
  }
  return (entry, action, place, receivedAt) => {
    if (!isObject(entry)) return { entry, verdict: 'taken' }
    const { sentBy: _s, acceptedBy: _a, late: _l, ...given } = entry
    const maker = authored(given.person === undefined ? person.id : String(given.person))
    if (!maker) return { entry: given, verdict: 'refused', reason: STRANGER }
    const { who } = maker
    const byHim = { ...given, person: who.id, by: who.name, ...who.id !== person.id && { sentBy: person.name } }
    const { isLate, ...verdict } = verdictOn(maker, proofOf(accounts, given, who), { given, action, place, receivedAt })
    return { entry: { ...byHim, ...isLate && { late: true } }, ...verdict }
  }
}

const STRANGER = 'is not by anyone in this firm: it may have been recorded on this device for another firm'

/**
 * What needs the right at the moment when it arrives: the clock of a device proves nothing, and a mark-out or an
 * override by one who has lost the right is not to hold by itself.
 */
const NEEDS_RIGHT_NOW: ReadonlySet<Action> = new Set<Action>(['wall.issue'])

/** A person of the firm with what he was granted, and since when, and who sends what he made. */
interface Known { who: Person, grants: Grant[], sender: Person }

/** What is sent: the entry, what it wants to be allowed, where it is made and when it arrived. */
interface Sent { given: Record<string, unknown>, action: Action, place: EntryPlace, receivedAt: string }

type Verdict = { verdict: 'taken', isLate?: boolean }
  | { verdict: 'set-aside' | 'refused', reason: string, isLate?: undefined }

/** Whether what a person did is taken by itself, and why not. */
function verdictOn({ who, grants, sender }: Known, proof: Proof, { given, action, place, receivedAt }: Sent): Verdict {
  // A clock that is ahead says nothing of what is to come.
  const at = isBefore(given.at, receivedAt) ? String(given.at) : receivedAt
  const lets = (held: Grant | undefined) => may(held, action, place)
  const needsNow = NEEDS_RIGHT_NOW.has(action)
  const then = heldAt(grants, needsNow ? receivedAt : at)
  const what = RIGHTS[action].title
  const role = then && ROLE_WORDS[then.role].title.toLowerCase()
  if (!grants.some(lets)) {
    const whom = role ? `the role ${role} here` : 'a person who has left the firm'
    return { verdict: 'refused', reason: `is not allowed for ${whom}, who cannot ${what}` }
  }
  const wait = (reason: string): Verdict => ({ verdict: 'set-aside', reason })
  if (proof.is === 'forged') return wait(proof.why)
  if (who.id !== sender.id && proof.is === 'none') {
    return wait(`it was sent as ${who.name}’s by ${sender.name}, and nothing proves that: ${proof.why}`)
  }
  if (lets(heldAt(grants, receivedAt))) return { verdict: 'taken' }
  if (needsNow || !lets(then)) {
    const was = role ? `${role}, but not here,` : 'no longer in the firm'
    return wait(`${who.name} was ${was} when this ${needsNow ? 'arrived' : 'was recorded'}, and could not ${what}`)
  }
  if (proof.is === 'proof') return { verdict: 'taken', isLate: true }
  return wait(`${who.name} cannot ${what} any more, and nothing proves that this was recorded before: ${proof.why}`)
}

/** The author of what comes through a client's link: the name that he wrote. */
export const clientAuthor: Author = entry => ({ entry, verdict: 'taken' })
