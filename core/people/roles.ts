/** What somebody of a firm does there. A client has no account: a link lets him in. */
export const ROLES = ['planner', 'lead', 'crew', 'service', 'client'] as const
export type Role = typeof ROLES[number]

/** Roles that a person with an account can have. */
export const STAFF = ['planner', 'lead', 'crew', 'service'] as const satisfies Role[]
export type StaffRole = typeof STAFF[number]
export const isStaffRole = (role: unknown): role is StaffRole => (STAFF as readonly unknown[]).includes(role)

/** Roles as they are called on the screen, with what each does. */
export const ROLE_WORDS: Record<Role, { title: string, does: string }> = {
  planner: { title: 'Planner', does: 'plans every site, and sees to people, house rules and catalogue' },
  lead: { title: 'Lead', does: 'plans and issues on the sites that are theirs' },
  crew: { title: 'Crew', does: 'reads the plans of the sites they are sent to, and records what happens there' },
  service: { title: 'Service', does: 'reads walls that were handed over, and adds visits' },
  client: { title: 'Client', does: 'reads and signs one wall, by a link' },
}

/** Roles that are held on some sites only, named for each person. */
export const isBySite = (role: Role): boolean => role === 'lead' || role === 'crew'
