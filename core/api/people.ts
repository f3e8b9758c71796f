import type { StaffRole } from '../people'

/** By which way a person signed in. */
export type Way = 'password' | 'passkey' | 'link' | 'demo'

/** What a person may do, and where. */
export interface RoleChoice { role: StaffRole, sites: string[] }

/** A person as a planner sees him. */
export interface PersonSummary extends RoleChoice {
  id: string
  name: string
  address: string
  hasPassword: boolean
  passkeys: number
  seenAt: string | null
}

/** A link by which a person is to come in, as a planner sees it. */
export interface InvitationSummary extends RoleChoice {
  id: string
  kind: 'firm' | 'join' | 'reset'
  name: string
  address: string
  madeBy: string
  madeAt: string
  expiresAt: string
}

/** A device on which a person is signed in, or was. */
export interface SessionSummary {
  id: string
  person: string
  name: string
  device: string
  way: Way
  beganAt: string
  seenAt: string
  endedAt: string | null
  endedBy: string | null
}

/** A passkey as its owner sees it. */
export interface PasskeySummary { id: string, name: string, madeAt: string }

/** What was done about people, rights and what leaves the house, when and by whom. */
export interface AuditLine { key: number, at: string, by: string, kind: string, subject: string, detail: string }

/** How the audit of a firm stands: how many lines it has, its code, and what does not hold. */
export interface AuditState { lines: number, head?: string, broken?: { at: string, number: number }, lost?: string }
