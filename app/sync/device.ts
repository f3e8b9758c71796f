import Dexie, { type Table } from 'dexie'
import type { ServerWall } from '~~/core/api/walls'
import type { Catalogue, LogEntry, Wall } from '~~/core/job'
import type { PublicKey } from '~~/core/log/signing'
import { lostEntries } from '~~/core/log/signedHead'
import type { KeptDrawing } from '~~/core/plan/drawn'
import type { Settings } from '~~/core/programme'
import type { Frozen } from '~~/core/revision'

/** What a wall is called on this device: its site and its own id. */
export const wallKey = (site: string, wall: string) => `${site}/${wall}`

/** A wall as this device had it last from the server, so that it can be opened without one. */
export interface SeenWall { key: string, state: ServerWall, seenAt: number }

/** A wall with changes that the server does not have yet. */
export interface DesignChange {
  key: string
  site: string
  id: string
  /** The server's version that it was made from, and the wall as it was in it. */
  version: number
  base: Wall
  wall: Wall
  /** Models that it takes from the firm's catalogue. */
  models: Partial<Catalogue>
  /**
   * The wall as it was sent and not answered: the server may have it already, so it is sent again before what is newer.
   */
  sent?: Wall
  /** What another person saved in between: it waits until a person has resolved that. */
  conflict?: ServerWall
  /** Why the server refused it: it waits until it is changed. */
  refused?: string
}

/** An entry of the log that the server does not have yet; `n` is the order in which entries were made here. */
export interface UnsentEntry { n?: number, key: string, site: string, wall: string, entry: LogEntry, refused?: string }

/** A picture that the server does not have yet. */
export interface UnsentPhoto { name: string, site: string, blob: Blob, refused?: string }

/**
 * What was frozen of a wall when its mark-out was issued; `unsent` where the server does not have it yet, with the
 * order in which it was made here.
 */
export interface KeptRevision { id: string, key: string, site: string, wall: string, frozen: Frozen, unsent?: number }

/** The key of what was changed in the firm's programme: there is one. */
export const PROGRAMME = 'programme'

/** The programme's settings as the server has them, and which version of them that is. */
export interface SettingsState { settings: Settings, version: number }

/**
 * Settings of the programme with changes that the server does not have yet: the version and the settings that they
 * were made from, and why they wait for whoever made them.
 */
export interface SettingsChange extends SettingsState {
  key: typeof PROGRAMME
  base: Settings
  /** The settings as they were sent and not answered. */
  sent?: Settings
  refused?: string
}

/** The key of this device for one session; its private half cannot be taken out of the browser. */
export interface SessionKey { session: string, id: string, jwk: PublicKey, pair: CryptoKeyPair, isKnown?: boolean }

/** An entry of a wall’s log that this device has seen, and that was not there any more when the log was read again. */
export interface LostEntry { id: string, key: string, entry: LogEntry }

/** What a wall is drawn by until its plan has been calculated. */
export interface KeptPlan extends KeptDrawing { key: string }

/** What this device keeps: walls that it has seen, and everything that is still to be sent. */
export class Device extends Dexie {
  declare seen: Table<SeenWall, string>
  declare designs: Table<DesignChange, string>
  declare entries: Table<UnsentEntry, number>
  declare photos: Table<UnsentPhoto, string>
  declare revisions: Table<KeptRevision, string>
  declare plans: Table<KeptPlan, string>
  declare settings: Table<SettingsChange, string>
  declare keys: Table<SessionKey, string>
  declare lost: Table<LostEntry, string>

  constructor(name = 'wide-trellis') {
    super(name)
    this.version(1).stores({ seen: 'key, seenAt', designs: 'key', entries: '++n, key', photos: 'name' })
    this.version(2).stores({ revisions: 'id, key, unsent' })
    this.version(3).stores({ plans: 'key' })
    this.version(4).stores({ settings: 'key' })
    this.version(5).stores({ keys: 'session' })
    this.version(6).stores({ lost: 'id, key' })
  }
}

/**
 * So many walls are kept for opening without a connection; the one seen longest ago, and of which nothing is unsent,
 * makes room.
 */
const WALLS_SEEN = 60

async function makeRoom(device: Device): Promise<void> {
  const over = await device.seen.count() - WALLS_SEEN
  if (over <= 0) return
  const unsent = new Set([
    ...(await device.designs.toCollection().primaryKeys()),
    ...(await device.entries.toArray()).map(({ key }) => key),
  ])
  const oldest = await device.seen.orderBy('seenAt').filter(({ key }) => !unsent.has(key)).limit(over).primaryKeys()
  await device.seen.bulkDelete(oldest)
  await device.plans.bulkDelete(oldest)
  await device.revisions.where('key').anyOf(oldest).and(({ unsent: n }) => n === undefined).delete()
}

/**
 * Notes how the server has a wall; an older answer never takes the place of a newer one. Entries that are known and not
 * in the answer are kept apart, to be asked for once more.
 */
export async function noteSeen(device: Device, key: string, state: ServerWall): Promise<void> {
  const { seen, designs, entries, revisions, plans, lost } = device
  await device.transaction('rw', [seen, designs, entries, revisions, plans, lost], async () => {
    const known = await device.seen.get(key)
    const gone = lostEntries(known?.state.job.log ?? [], state.job.log)
    await lost.bulkPut(gone.map(entry => ({ id: `${key} ${entry.id}`, key, entry })))
    const isOlder
      = known
        && (known.state.version > state.version
          || (known.state.version === state.version && known.state.job.log.length > state.job.log.length))
    await device.seen.put({ key, state: isOlder ? known.state : state, seenAt: Date.now() })
    await makeRoom(device)
  })
}

/** Takes a wall off this device that the server has no more, or no more for this person; what is unsent stays. */
export async function forgetSeen(device: Device, key: string): Promise<void> {
  await device.transaction('rw', device.seen, device.plans, device.revisions, async () => {
    await device.seen.delete(key)
    await device.plans.delete(key)
    await device.revisions.where('key').equals(key).and(({ unsent }) => unsent === undefined).delete()
  })
}
