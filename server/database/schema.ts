import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import type { Imported } from '../../core/log'

/*
 * What people measured and decided is kept as documents, as the job file has them; beside each stand the columns by
 * which lists are sorted and searched. Every row has a number of its own, which also keeps the order in which rows
 * came.
 */
const key = () => integer('key').primaryKey({ autoIncrement: true })

/** The firm: what holds for all its sites. There is one. */
export const firm = sqliteTable('firm', {
  key: integer('key').primaryKey(),
  version: integer('version').notNull().default(1),
  /** Its house rules, as a job file has them. */
  rules: text('rules').notNull(),
})

export const sites = sqliteTable('sites', {
  key: key(),
  version: integer('version').notNull().default(1),
  id: text('id').notNull().unique(),
  name: text('name').notNull(),
  units: text('units', { enum: ['metric', 'imperial'] }).notNull(),
  /** The site's job file without its walls and its log. */
  document: text('document').notNull(),
  /** Who imported it when, and how many entries its log had: their authors are as the file says. */
  imported: text('imported', { mode: 'json' }).$type<Imported>(),
})
const ofSite = () => integer('site').notNull().references(() => sites.key, { onDelete: 'cascade' })

export const walls = sqliteTable('walls', {
  key: key(),
  site: ofSite(),
  id: text('id').notNull(),
  name: text('name').notNull(),
  width: real('width').notNull(),
  height: real('height').notNull(),
  structure: text('structure').notNull(),
  version: integer('version').notNull().default(1),
  savedAt: text('saved_at').notNull(),
  savedBy: text('saved_by').notNull(),
  /** The wall as the job file has it. */
  document: text('document').notNull(),
}, t => [uniqueIndex('walls_id').on(t.site, t.id)])

/** Which walls use which models, alternatives included. */
export const wallModels = sqliteTable('wall_models', {
  wall: integer('wall').notNull().references(() => walls.key, { onDelete: 'cascade' }),
  kind: text('kind').notNull(),
  model: text('model').notNull(),
}, t => [primaryKey({ columns: [t.wall, t.kind, t.model] }), index('wall_models_model').on(t.kind, t.model)])

/** The firm's own catalogue, from which walls take models; each wall keeps those that it was planned with. */
export const models = sqliteTable('models', {
  key: key(),
  version: integer('version').notNull().default(1),
  savedAt: text('saved_at').notNull(),
  savedBy: text('saved_by').notNull(),
  kind: text('kind').notNull(),
  id: text('id').notNull(),
  /** The model as the job file has it. */
  model: text('model', { mode: 'json' }).notNull(),
}, t => [uniqueIndex('models_id').on(t.kind, t.id)])

/** What came into the store and van and what went out; how many there are is the sum. Only ever added to. */
export const stock = sqliteTable('stock', {
  key: key(),
  kind: text('kind').notNull(),
  model: text('model').notNull(),
  /** Where: in the store, or in the van of a crew, by the crew's id. */
  place: text('place').notNull().default('store'),
  /** How many more there are, or, below 0, fewer. */
  change: integer('change').notNull(),
  at: text('at').notNull(),
  by: text('by').notNull(),
  note: text('note'),
}, t => [index('stock_model').on(t.kind, t.model)])

/** Only ever added to: triggers refuse any update or deletion. */
export const log = sqliteTable(
  'log',
  {
    key: key(),
    site: ofSite(),
    /** The order of arrival at this site, from 1. */
    seq: integer('seq').notNull(),
    id: text('id').notNull(),
    wall: text('wall').notNull(),
    kind: text('kind').notNull(),
    hash: text('hash').notNull(),
    /** The entry as the job file has it, its place in the chain included. */
    entry: text('entry').notNull(),
  },
  t => [
    uniqueIndex('log_id').on(t.site, t.id),
    uniqueIndex('log_seq').on(t.site, t.seq),
    index('log_wall').on(t.site, t.wall),
    index('log_kind').on(t.site, t.kind, t.wall),
  ],
)

/** Heads of logs as the server signed them: how far each log had grown, and its hash. Only ever added to. */
export const heads = sqliteTable('heads', {
  key: key(),
  site: ofSite(),
  seq: integer('seq').notNull(),
  hash: text('hash').notNull(),
  at: text('at').notNull(),
  /** The public key by which the signature is checked, base64url. */
  publicKey: text('public_key').notNull(),
  sig: text('sig').notNull(),
}, t => [index('heads_site').on(t.site, t.seq)])

/** What was frozen whenever a mark-out was issued, by its content's own id. Only ever added to. */
export const revisions = sqliteTable('revisions', {
  key: key(),
  site: ofSite(),
  wall: text('wall').notNull(),
  /** SHA-256 of its canonical JSON. */
  id: text('id').notNull(),
  /** What was frozen, as the job file has it. */
  document: text('document').notNull(),
  /** Why it does not follow from the wall as it was saved when it came; absent where it does. */
  astray: text('astray'),
}, t => [uniqueIndex('revisions_id').on(t.site, t.wall, t.id)])

/**
 * Links by which a client reads and signs a wall without an account. What stands here is not the link itself, but its
 * SHA-256.
 */
export const links = sqliteTable('links', {
  key: key(),
  site: ofSite(),
  wall: text('wall').notNull(),
  id: text('id').notNull().unique(),
  /** SHA-256 of the secret in the link. */
  secret: text('secret').notNull().unique(),
  /** Whom it was made for. */
  client: text('client').notNull(),
  madeAt: text('made_at').notNull(),
  madeBy: text('made_by').notNull(),
  expiresAt: text('expires_at').notNull(),
  endedAt: text('ended_at'),
}, t => [index('links_wall').on(t.site, t.wall)])

/**
 * Entries that came in when their author might not have made them any more: a planner takes them into the log, or
 * declines them.
 */
export const setAside = sqliteTable('set_aside', {
  key: key(),
  site: ofSite(),
  wall: text('wall').notNull(),
  /** The entry's own id. */
  id: text('id').notNull(),
  /** The entry, with who made it. */
  entry: text('entry').notNull(),
  /** Why it was set aside, in words. */
  reason: text('reason').notNull(),
  receivedAt: text('received_at').notNull(),
  resolvedAt: text('resolved_at'),
  resolvedBy: text('resolved_by'),
  accepted: integer('accepted', { mode: 'boolean' }),
}, t => [uniqueIndex('set_aside_id').on(t.site, t.id)])

/**
 * The state of a wall as lists over all walls show it, calculated of its plan and log in a thread; whether it still
 * holds is told by what it was calculated of.
 */
export const wallStates = sqliteTable('wall_states', {
  wall: integer('wall').primaryKey().references(() => walls.key, { onDelete: 'cascade' }),
  /**
   * What it was calculated of, as one text: versions of the wall, its log, its site, the firm's rules and the program.
   */
  basis: text('basis').notNull(),
  /** What lists of walls show. */
  state: text('state').notNull(),
  /** What the programme, the stock and what the firm learns ask for. */
  work: text('work').notNull(),
  /** What the wall is drawn by until its plan is calculated; absent where it cannot be planned. */
  drawn: text('drawn'),
})

/** The firm's programme: crews, hours, what was pinned. There is one. */
export const programme = sqliteTable('programme', {
  key: integer('key').primaryKey(),
  version: integer('version').notNull().default(1),
  settings: text('settings').notNull(),
  /** How often it was published, when last and by whom. */
  published: integer('published').notNull().default(0),
  publishedAt: text('published_at'),
  publishedBy: text('published_by'),
})

/** What was published: who is at which wall from when to when. A crew's day at a site is several of these. */
export const visits = sqliteTable('visits', {
  key: key(),
  site: ofSite(),
  wall: text('wall').notNull(),
  task: text('task').notNull(),
  crew: text('crew').notNull(),
  crewName: text('crew_name').notNull(),
  /** Ids of the people in the crew then. */
  people: text('people', { mode: 'json' }).$type<string[]>().notNull(),
  /** The kind of work, as the core names it; and what it is called. */
  kind: text('kind').notNull(),
  title: text('title').notNull(),
  startsAt: text('starts_at').notNull(),
  endsAt: text('ends_at').notNull(),
  /** With which publishing it came to stand there. */
  published: integer('published').notNull(),
}, t => [index('visits_time').on(t.startsAt), index('visits_site').on(t.site)])

/**
 * What a piece of some work at a wall was to take by what was published, min: a row for each time at which that became
 * another.
 */
export const plannedMinutes = sqliteTable('planned_minutes', {
  key: key(),
  wall: integer('wall').notNull().references(() => walls.key, { onDelete: 'cascade' }),
  kind: text('kind').notNull(),
  minutes: real('minutes').notNull(),
  since: text('since').notNull(),
}, t => [index('planned_minutes_wall').on(t.wall, t.kind, t.since)])

/**
 * Calendars that people subscribe to, of a crew or of a person. What stands here is not the secret in the address, but
 * its SHA-256.
 */
export const calendars = sqliteTable('calendars', {
  key: key(),
  kind: text('kind', { enum: ['crew', 'person'] }).notNull(),
  of: text('of').notNull(),
  secret: text('secret').notNull().unique(),
  madeAt: text('made_at').notNull(),
  madeBy: text('made_by').notNull(),
}, t => [uniqueIndex('calendars_of').on(t.kind, t.of)])
