import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import type { PublicKey } from '../../core/log'
import { STAFF } from '../../core/people'

/*
 * Who may come in, for all firms of this server: what each firm plans and records is in a database of its own. Secrets
 * that are sent to people are kept as their SHA-256 only, passwords as scrypt.
 */
const key = () => integer('key').primaryKey({ autoIncrement: true })

export const firms = sqliteTable('firms', {
  key: key(),
  id: text('id').notNull().unique(),
  name: text('name').notNull(),
  /** Where its database and photos are, within the data folder. */
  folder: text('folder').notNull().unique(),
  madeAt: text('made_at').notNull(),
  /** After so many days without the server a device is to sign in again. */
  deviceDays: integer('device_days').notNull(),
})
const ofFirm = () => integer('firm').notNull().references(() => firms.key, { onDelete: 'cascade' })

export const people = sqliteTable('people', {
  key: key(),
  firm: ofFirm(),
  id: text('id').notNull().unique(),
  name: text('name').notNull(),
  /** In small letters. */
  address: text('address').notNull(),
  /** Absent for who comes in by a passkey only, or by the demo's click. */
  password: text('password'),
  removedAt: text('removed_at'),
}, t => [uniqueIndex('people_address').on(t.firm, t.address), index('people_by_address').on(t.address)])
const ofPerson = () => integer('person').notNull().references(() => people.key, { onDelete: 'cascade' })

/** Which role a person held from when to when, and on which sites. */
export const grants = sqliteTable('grants', {
  key: key(),
  person: ofPerson(),
  role: text('role', { enum: STAFF }).notNull(),
  sites: text('sites', { mode: 'json' }).$type<string[]>().notNull(),
  from: text('from').notNull(),
  to: text('to'),
}, t => [index('grants_person').on(t.person)])

/** Devices on which a person is signed in, or was. */
export const sessions = sqliteTable('sessions', {
  key: key(),
  person: ofPerson(),
  id: text('id').notNull().unique(),
  /** What its browser says that it is. */
  device: text('device').notNull(),
  /** By which way he came in. */
  way: text('way', { enum: ['password', 'passkey', 'link', 'demo'] }).notNull(),
  beganAt: text('began_at').notNull(),
  seenAt: text('seen_at').notNull(),
  endedAt: text('ended_at'),
  /** Who ended it, or why it ended. */
  endedBy: text('ended_by'),
}, t => [index('sessions_person').on(t.person)])

/** Public keys of devices: entries that were signed by one were made in its session. */
export const sessionKeys = sqliteTable('session_keys', {
  key: key(),
  session: integer('session').notNull().references(() => sessions.key, { onDelete: 'cascade' }),
  /** Its thumbprint (RFC 7638). */
  id: text('id').notNull().unique(),
  jwk: text('jwk', { mode: 'json' }).$type<PublicKey>().notNull(),
  madeAt: text('made_at').notNull(),
}, t => [index('session_keys_session').on(t.session)])

/**
 * Links by which a person comes in for the first time, or sets a new password; and the codes by which a firm is begun.
 */
export const invitations = sqliteTable('invitations', {
  key: key(),
  id: text('id').notNull().unique(),
  kind: text('kind', { enum: ['firm', 'join', 'reset'] }).notNull(),
  secret: text('secret').notNull().unique(),
  /** Absent where it begins a firm. */
  firm: integer('firm').references(() => firms.key, { onDelete: 'cascade' }),
  /** Whose password it sets. */
  person: integer('person').references(() => people.key, { onDelete: 'cascade' }),
  name: text('name').notNull(),
  address: text('address').notNull(),
  role: text('role', { enum: STAFF }).notNull(),
  sites: text('sites', { mode: 'json' }).$type<string[]>().notNull(),
  madeBy: text('made_by').notNull(),
  madeAt: text('made_at').notNull(),
  expiresAt: text('expires_at').notNull(),
  usedAt: text('used_at'),
  endedAt: text('ended_at'),
})

export const passkeys = sqliteTable('passkeys', {
  key: key(),
  person: ofPerson(),
  /** The credential's own id. */
  id: text('id').notNull().unique(),
  name: text('name').notNull(),
  publicKey: text('public_key').notNull(),
  counter: integer('counter').notNull(),
  transports: text('transports', { mode: 'json' }).$type<string[]>().notNull(),
  madeAt: text('made_at').notNull(),
})

/** What was done about people, rights and what leaves the house. Only ever added to. */
export const audit = sqliteTable('audit', {
  key: key(),
  firm: ofFirm(),
  at: text('at').notNull(),
  /** Who did it: a name, as it was then. */
  by: text('by').notNull(),
  kind: text('kind').notNull(),
  /** What it was done to. */
  subject: text('subject').notNull(),
  detail: text('detail').notNull(),
  /** Its number in the firm's audit, from 1, and the SHA-256 of what it says, its number and the hash before it. */
  seq: integer('seq').notNull().default(0),
  hash: text('hash').notNull().default(''),
}, t => [index('audit_firm').on(t.firm, t.key)])
