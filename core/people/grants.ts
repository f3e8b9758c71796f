import type { Held } from './rights'
import type { StaffRole } from './roles'

/** A role as a person held it for a time: `from`, and `to` where it has ended. */
export interface Grant extends Held { role: StaffRole, from: string, to: string | null }

/** What a person held at a moment; undefined where it was nothing. */
export const heldAt = (grants: readonly Grant[], at: string): Grant | undefined =>
  grants.find(({ from, to }) => Date.parse(from) <= Date.parse(at) && (to === null || Date.parse(at) < Date.parse(to)))

/** What a person holds now. */
export const heldNow = (grants: readonly Grant[]): Grant | undefined => grants.find(({ to }) => to === null)
