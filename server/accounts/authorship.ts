import { heldAt, may, ROLE_WORDS, RIGHTS, type Action, type Grant } from '../../core/people'
import type { Accounts } from './form'
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

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value)
const isBefore = (a: unknown, b: string) => typeof a === 'string' && Date.parse(a) < Date.parse(b)

/**
 * The author of what a session sends. Who made an entry is who was signed in on the device then, as the entry says by
 * his id; his name is the server's. What a person made while he had the right to is taken however late it comes, what
 * he made after it was taken from him is set aside, and what was never his to do is refused. What one person sends as
 * another's is taken only where he may do it himself: else a planner decides.
 */
export function authorOf(accounts: Accounts, { person, firm }: SignedIn): Author {
  /** Of many entries that come at once most are by one. */
  const known = new Map<string, ReturnType<typeof read>>()
  function read(id: string) {
    const who = id === person.id ? person : personOfId(accounts, firm.key, id)
    return who && { who, grants: grantsOf(accounts, who.key) }
  }
  function authored(id: string) {
    if (!known.has(id)) known.set(id, read(id))
    return known.get(id)
  }
  return (entry, action, place, receivedAt) => signed(entry, action, place, receivedAt, person, authored)
}

/**
 * What needs the right at the moment when it arrives: the clock of a device proves nothing, and a mark-out or an
 * override by whoever has lost the right is not to hold by itself.
 */
const NEEDS_RIGHT_NOW: ReadonlySet<Action> = new Set<Action>(['wall.issue'])

/** A person of the firm with what he was granted, and since when. */
interface Known { who: Person, grants: Grant[] }

/** Why what one person sends as another's is not taken: nothing proves that it is, and he may not do it himself. */
function notHisToSend(who: Person, sender: Known, action: Action, place: EntryPlace, receivedAt: string): string | undefined {
  if (who.id === sender.who.id || may(heldAt(sender.grants, receivedAt), action, place)) return undefined
  return `it was sent as ${who.name}’s by ${sender.who.name}, who cannot ${RIGHTS[action].title}`
}

/** Why what a person did is not taken by itself; undefined where he may do it. */
function verdictOn({ who, grants }: Known, given: Record<string, unknown>, action: Action, place: EntryPlace, receivedAt: string): Omit<Extract<Authored, { reason: string }>, 'entry'> | undefined {
  // A clock that is ahead says nothing of what is to come.
  const at = isBefore(given.at, receivedAt) ? String(given.at) : receivedAt
  const lets = (held: Grant | undefined) => may(held, action, place)
  const needsNow = NEEDS_RIGHT_NOW.has(action)
  const moments = needsNow ? [receivedAt] : [at, receivedAt]
  if (moments.some(moment => lets(heldAt(grants, moment)))) return undefined
  const then = heldAt(grants, moments[0]!)
  const what = RIGHTS[action].title
  const role = then && ROLE_WORDS[then.role].title.toLowerCase()
  if (grants.some(lets)) {
    const when = needsNow ? 'when this arrived' : 'when this was recorded'
    const was = role ? `${role}, but not here,` : 'no longer in the firm'
    return { verdict: 'set-aside', reason: `${who.name} was ${was} ${when}, and could not ${what}` }
  }
  const whom = role ? `the role ${role} here` : 'a person who has left the firm'
  return { verdict: 'refused', reason: `is not allowed for ${whom}, who cannot ${what}` }
}

function signed(entry: unknown, action: Action, place: EntryPlace, receivedAt: string, person: Person, authored: (id: string) => Known | undefined): Authored {
  if (!isObject(entry)) return { entry, verdict: 'taken' }
  const { sentBy: _s, acceptedBy: _a, ...given } = entry
  const known = authored(given.person === undefined ? person.id : String(given.person))
  const sender = authored(person.id)
  if (!known || !sender) return { entry: given, verdict: 'refused', reason: 'is not by anyone in this firm: it may have been recorded on this device for another firm' }
  const { who } = known
  const byHim = { ...given, person: who.id, by: who.name, ...who.id !== person.id && { sentBy: person.name } }
  const verdict = verdictOn(known, given, action, place, receivedAt)
  if (verdict) return { entry: byHim, ...verdict }
  const reason = notHisToSend(who, sender, action, place, receivedAt)
  return reason === undefined ? { entry: byHim, verdict: 'taken' } : { entry: byHim, verdict: 'set-aside', reason }
}

/** The author of what comes through a client's link: the name that he wrote. */
export const clientAuthor: Author = entry => ({ entry, verdict: 'taken' })
