import { ROLE_WORDS, STAFF, type Role } from './roles'

/**
 * Where a person may do a thing: everywhere, on the sites that are theirs, at walls that were handed over, or at the
 * wall that a link opens.
 */
export type Reach = 'all' | 'own' | 'closed' | 'link'

const PLANNING = { planner: 'all', lead: 'own' } as const
const AT_WORK = { ...PLANNING, crew: 'own' } as const
const READING = { ...AT_WORK, service: 'closed' } as const
const ANYBODY = { planner: 'all', lead: 'all', crew: 'all', service: 'all' } as const
const PLANNER = { planner: 'all' } as const

/**
 * What may be done, by whom, and where: the one table that server, screens and tests go by. A role that is not named
 * may not.
 */
export const RIGHTS = {
  'site.read': { title: 'view sites, walls, plans and documents', reach: READING },
  'wall.design': { title: 'edit the survey and design of a wall', reach: PLANNING },
  'wall.issue': { title: 'issue a mark-out or override a stop', reach: PLANNING },
  'wall.record': { title: 'record work at a wall', reach: AT_WORK },
  'wall.visit': { title: 'record a visit', reach: READING },
  'wall.links': { title: 'create and revoke client links', reach: PLANNING },
  'site.export': { title: 'export a site', reach: PLANNING },
  'site.settings': { title: 'edit the house rules, contacts and files of a site', reach: PLANNING },
  'site.begin': { title: 'create or import a site', reach: PLANNER },
  'firm.read': { title: 'view house rules and catalogue', reach: ANYBODY },
  'firm.rules': { title: 'edit the house rules of the firm', reach: PLANNER },
  'firm.catalogue': { title: 'edit the catalogue of the firm', reach: PLANNER },
  'firm.stock': { title: 'record stock received, moved and used', reach: { planner: 'all', lead: 'all', crew: 'all' } },
  'programme.read': {
    title: 'view the programme, day sheets and stock',
    reach: { planner: 'all', lead: 'all', crew: 'all' },
  },
  'programme.plan': { title: 'plan and publish the programme', reach: PLANNER },
  'people.manage': { title: 'invite people, change their roles and remove them', reach: PLANNER },
  'audit.read': { title: 'view the audit log and revoke other people’s sessions', reach: PLANNER },
  'account': { title: 'manage their own account', reach: ANYBODY },
  'handover.read': { title: 'view the wall of a client link', reach: { client: 'link' } },
  'handover.sign': { title: 'sign for the wall of a client link', reach: { client: 'link' } },
} as const satisfies Record<string, { title: string, reach: Partial<Record<Role, Reach>> }>

export type Action = keyof typeof RIGHTS

/** Where a role may do a thing; undefined where it may not at all. */
export const reachOf = (role: Role, action: Action): Reach | undefined =>
  (RIGHTS[action].reach as Partial<Record<Role, Reach>>)[role]

/** Who may do a thing, in words: “a planner or a lead”. */
export const whoMay = (action: Action): string =>
  STAFF.filter(role => reachOf(role, action))
    .map(role => `a ${ROLE_WORDS[role].title.toLowerCase()}`)
    .join(' or ')

/** A role, and the sites on which it is held where that is said for each person. */
export interface Held { role: Role, sites: readonly string[] }

/**
 * Whether a person may do a thing at a place.
 *
 * @param held undefined for who holds no role
 * @param place the site it is about, and whether the wall was handed over (of a site: whether any of its walls was);
 *   absent for what is about the firm as a whole
 * @example may({ role: 'crew', sites: ['holm-point'] }, 'wall.record', { site: 'stennick' }) // false
 */
export function may(held: Held | undefined, action: Action, place?: { site: string, closed?: boolean }): boolean {
  const reach = held && reachOf(held.role, action)
  if (!reach) return false
  if (!place || reach === 'all' || reach === 'link') return true
  return reach === 'own' ? held.sites.includes(place.site) : place.closed === true
}
