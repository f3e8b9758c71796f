/** What a person of a firm does there. A client has no account: a link lets him in. */
export const ROLES = ['planner', 'lead', 'crew', 'service', 'client'] as const
export type Role = typeof ROLES[number]

/** Roles that a person with an account can have. */
export const STAFF = ['planner', 'lead', 'crew', 'service'] as const satisfies Role[]
export type StaffRole = typeof STAFF[number]
export const isStaffRole = (role: unknown): role is StaffRole => (STAFF as readonly unknown[]).includes(role)

/** Roles as they are called on the screen, with what each does. */
export const ROLE_WORDS: Record<Role, { title: string, does: string }> = {
  planner: { title: 'Planner', does: 'plans every site and manages people, house rules and catalogue' },
  lead: { title: 'Lead', does: 'plans and issues revisions on their own sites' },
  crew: { title: 'Crew', does: 'views the plans of their sites and records the work there' },
  service: { title: 'Service', does: 'views walls after handover and records visits' },
  client: { title: 'Client', does: 'views and signs for one wall through a link' },
}

/** Roles that are held on some sites only, named for each person. */
export const isBySite = (role: Role): boolean => role === 'lead' || role === 'crew'
