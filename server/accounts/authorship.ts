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
 * he made after it was taken from him is set aside, and what was never his to do is refused.
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

function signed(entry: unknown, action: Action, place: EntryPlace, receivedAt: string, person: Person, authored: (id: string) => { who: Person, grants: Grant[] } | undefined): Authored {
  if (!isObject(entry)) return { entry, verdict: 'taken' }
  const { sentBy: _s, acceptedBy: _a, ...given } = entry
  const { who, grants = [] } = authored(given.person === undefined ? person.id : String(given.person)) ?? {}
  if (!who) return { entry: given, verdict: 'refused', reason: 'is not by anyone in this firm: it may have been recorded on this device for another firm' }
  const byHim = { ...given, person: who.id, by: who.name, ...who.id !== person.id && { sentBy: person.name } }
  // A clock that is ahead says nothing of what is to come.
  const at = isBefore(given.at, receivedAt) ? String(given.at) : receivedAt
  const lets = (held: typeof grants[number] | undefined) => may(held, action, place)
  if (lets(heldAt(grants, at)) || lets(heldAt(grants, receivedAt))) return { entry: byHim, verdict: 'taken' }
  const now = heldAt(grants, at)
  const what = RIGHTS[action].title
  if (grants.some(lets)) return { entry: byHim, verdict: 'set-aside', reason: `${who.name} was ${now ? `${ROLE_WORDS[now.role].title.toLowerCase()}, but not here,` : 'no longer in the firm'} when this was recorded, and could not ${what}` }
  return { entry: byHim, verdict: 'refused', reason: `is not allowed for ${now ? `the role ${ROLE_WORDS[now.role].title.toLowerCase()} here` : 'a person who has left the firm'}, who cannot ${what}` }
}

/** The author of what comes through a client's link: the name that he wrote. */
export const clientAuthor: Author = entry => ({ entry, verdict: 'taken' })
