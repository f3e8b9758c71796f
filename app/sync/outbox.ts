import { same, type Catalogue, type LogEntry, type Wall } from '~~/core/job'
import { ApiError } from '../utils/api'
import { frozenWith } from '~~/core/log'
import type { Settings } from '~~/core/programme'
import type { Frozen } from '~~/core/revision'
import type { ServerWall } from '~~/core/api/walls'
import {
  noteSeen, PROGRAMME, wallKey, type DesignChange, type Device, type KeptRevision, type SettingsState,
  type UnsentEntry,
} from './device'
import { DesignSender } from './designSender'
import { happenToDesign, happenToSettings } from './keptChanges'
import { isFull, type OutboxState } from './outboxState'
import { afterFailure, reasonOf, type Server } from './sending'
import { SettingsSender } from './settingsSender'
import { Signer } from './signer'

/** So many entries go in one request. */
const AT_ONCE = 100
const FIRST_RETRY = 1_000
const LAST_RETRY = 10_000

const withoutOrder = ({ unsent: _, ...revision }: KeptRevision): KeptRevision => revision

/** Only one tab of this browser sends at a time, where the browser can see to that. */
const alone = <Result>(act: () => Promise<Result>): Promise<Result> =>
  typeof navigator !== 'undefined' && navigator.locks
    ? (navigator.locks.request('wide-trellis-outbox', act) as Promise<Result>)
    : act()

/**
 * Everything that is done on this device and that the server does not have yet, whatever page is open: pictures, what
 * was frozen, entries of the log, changes of walls. It is kept first and then sent, each kind in order and each thing
 * once. What the server refuses is set aside with the reason and is in nobody's way; what only had no answer is sent
 * again.
 */
export class Outbox {
  readonly state: OutboxState = { sending: false, offline: false }
  private retry = FIRST_RETRY
  private timer: ReturnType<typeof setTimeout> | undefined
  private again = false
  private closed = false
  private readonly designs: DesignSender
  private readonly settings: SettingsSender

  constructor(
    readonly device: Device,
    private readonly server: Server,
    private readonly changed: (state: OutboxState) => void = () => {},
    readonly signer = new Signer(device, () => undefined),
  ) {
    this.designs = new DesignSender(device, server, {
      again: () => { this.again = true },
      merged: (key, by) => this.set({ merged: { key, by } }),
    })
    this.settings = new SettingsSender(device, server, {
      again: () => { this.again = true },
      saved: programme => this.set({ programme }),
    })
  }

  private set(state: Partial<OutboxState>): void {
    Object.assign(this.state, state)
    this.changed({ ...this.state })
  }

  /** Writes to the device. @throws what the browser says, after it was noted that nothing can be kept */
  private async write<Result>(act: () => Promise<Result>): Promise<Result> {
    try {
      const result = await act()
      if (this.state.store) this.set({ store: undefined })
      return result
    }
    catch (error) {
      this.cannotKeep(error)
      throw error
    }
  }

  /** Notes that the device's store cannot be used, by what the browser said. */
  cannotKeep(error: unknown): void {
    this.set({ store: isFull(error) ? 'full' : 'denied' })
  }

  /** Keeps an entry of the log, to be sent in its turn. */
  addEntry(site: string, wall: string, entry: LogEntry): Promise<void> {
    return this.addEntries([{ site, wall, entry }])
  }

  /** Keeps entries of the log, all of them or none, to be sent in their turn. */
  async addEntries(said: { site: string, wall: string, entry: LogEntry }[]): Promise<void> {
    const signed = await Promise.all(said.map(async ({ site, wall, entry }) =>
      ({ key: wallKey(site, wall), site, wall, entry: await this.signer.signed(entry) })))
    await this.write(() => this.device.entries.bulkAdd(signed))
    void this.send()
  }

  /** Keeps a picture under the name that the server will know it by. */
  async addPhoto(site: string, name: string, blob: Blob): Promise<void> {
    await this.write(() => this.device.photos.put({ name, site, blob }))
    void this.send()
  }

  /** Keeps what was frozen, and the entry that issues it, to be sent in this order. */
  async issue(site: string, wall: string, frozen: Frozen, entry: LogEntry): Promise<void> {
    const { device } = this
    const key = wallKey(site, wall)
    const signed = await this.signer.signed(entry)
    await this.write(() =>
      device.transaction('rw', device.revisions, device.entries, device.designs, async () => {
        // The wall as it is issued is a version of its own, whatever is changed after that.
        await happenToDesign(device, key, { kind: 'sending' })
        await device.revisions.put({ id: frozen.id, key, site, wall, frozen, unsent: Date.now() })
        await device.entries.add({ key, site, wall, entry: signed })
      }),
    )
    void this.send()
  }

  /**
   * Keeps the change of a wall from `before` to `after`, laid on whatever another tab did to it meanwhile.
   *
   * @returns the wall with the changes of both
   */
  async changeWall(site: string, before: Wall, after: Wall, models: Partial<Catalogue>): Promise<Wall> {
    const { device } = this
    const key = wallKey(site, after.id)
    const wall = await this.write(() =>
      device.transaction('rw', device.designs, device.seen, async () => {
        const [change, seen] = [await device.designs.get(key), await device.seen.get(key)]
        const from = change
          ? { version: change.version, doc: change.base }
          : seen && { version: seen.state.version, doc: seen.state.job.walls[0]! }
        if (!from) throw new Error(`${key} has not been opened on this device`)
        const about = { key, site, id: after.id, models }
        const edited = await happenToDesign(device, key, { kind: 'edited', before, after, from }, about)
        return edited.change?.doc ?? from.doc
      }),
    )
    if (this.state.merged?.key === key && !same(before, after)) this.set({ merged: undefined })
    void this.send()
    return wall
  }

  /**
   * Keeps the change of the programme's settings from `before` to `after`, laid on whatever another tab did to them
   * meanwhile.
   *
   * @param from what the server had when it was made
   */
  async changeSettings({ version, settings }: SettingsState, before: Settings, after: Settings): Promise<void> {
    const { device } = this
    await this.write(() =>
      device.transaction('rw', device.settings, async () => {
        await happenToSettings(device, { kind: 'edited', before, after, from: { version, doc: settings } })
      }),
    )
    await this.send()
  }

  /** Sends settings again that the server refused, or gives them up. */
  async resendSettings(): Promise<void> {
    const { device } = this
    await device.transaction('rw', device.settings, () => happenToSettings(device, { kind: 'resent' }))
    void this.send()
  }

  async giveUpSettings(): Promise<void> {
    await this.device.settings.delete(PROGRAMME)
  }

  /** Resolves a conflict: from now on the wall is `wall`, made from the version that the other saved. */
  async resolveConflict(site: string, theirs: ServerWall, wall: Wall, models: Partial<Catalogue>): Promise<void> {
    const key = wallKey(site, wall.id)
    const { device } = this
    const now = { version: theirs.version, doc: theirs.job.walls[0]! }
    await noteSeen(device, key, theirs)
    const about = { key, site, id: wall.id, models }
    await this.write(() =>
      device.transaction('rw', device.designs, () =>
        happenToDesign(device, key, { kind: 'resolved', now, doc: wall }, about)))
    void this.send()
  }

  /** Sends again what was set aside, as it is or mended, or gives it up. */
  async resend(unsent: UnsentEntry, entry: LogEntry = unsent.entry): Promise<void> {
    const { refused: _, ...rest } = unsent
    const said = entry === unsent.entry ? entry : await this.signer.signed(entry)
    await this.device.entries.put({ ...rest, entry: said })
    void this.send()
  }

  async giveUp({ n, entry }: UnsentEntry): Promise<void> {
    const { device } = this
    await device.transaction('rw', device.entries, device.revisions, async () => {
      await device.entries.delete(n!)
      const frozen = frozenWith(entry)
      if (frozen !== undefined)
        await device.revisions
          .where({ id: frozen })
          .and(({ unsent }) => unsent !== undefined)
          .delete()
    })
  }

  /** Gives up the changes of a wall that the server refused: it is again as the server has it. */
  async giveUpDesign({ key }: DesignChange): Promise<void> {
    await this.device.designs.delete(key)
  }

  /** Sends all there is to send. */
  async send(): Promise<void> {
    this.again = true
    if (this.state.sending) return
    clearTimeout(this.timer)
    this.set({ sending: true })
    try {
      await alone(async () => {
        while (this.again) {
          this.again = false
          const troubles = [
            ...(await this.sendKey()),
            ...(await this.sendPhotos()),
            ...(await this.sendIssued()),
            ...(await this.sendEntries()),
            ...(await this.designs.send()),
            ...(await this.settings.send()),
          ]
          if (troubles.length > 0 && !this.again) throw troubles[0]
        }
      })
      this.retry = FIRST_RETRY
      this.set({ sending: false, offline: false, trouble: undefined })
    }
    catch (error) {
      if (error instanceof ApiError)
        this.set({ sending: false, offline: error.isOffline, trouble: error.isOffline ? undefined : error.message })
      else this.set({ sending: false })
      if (this.closed) return
      // Nobody waits for this; whatever it is, it is tried again.
      if (!(error instanceof ApiError)) console.error(error)
      this.timer = setTimeout(() => void this.send(), this.retry)
      this.retry = Math.min(2 * this.retry, LAST_RETRY)
    }
  }

  close(): void {
    this.closed = true
    clearTimeout(this.timer)
  }

  /** The key by which entries are signed goes before them; a server that takes none has them unsigned. */
  private async sendKey(): Promise<ApiError[]> {
    try {
      await this.signer.register(key => this.server.addKey(key))
      return []
    }
    catch (error) {
      return afterFailure(error, () => Promise.resolve())
    }
  }

  private async sendPhotos(): Promise<ApiError[]> {
    const troubles: ApiError[] = []
    for (const photo of await this.device.photos.filter(({ refused }) => refused === undefined).toArray()) {
      try {
        await this.server.addPhoto(photo)
        await this.device.photos.delete(photo.name)
      }
      catch (error) {
        troubles.push(
          ...(await afterFailure(error, refusal =>
            this.device.photos.update(photo.name, { refused: reasonOf(refusal) }),
          )),
        )
      }
    }
    return troubles
  }

  /** The design from which a mark-out was frozen goes before it: the server looks whether it follows from that. */
  private async sendIssued(): Promise<ApiError[]> {
    const unsent = await this.device.revisions.orderBy('unsent').toArray()
    if (unsent.length === 0) return []
    const troubles = await this.designs.send(new Set(unsent.map(({ key }) => key)))
    return troubles.length > 0 ? troubles : this.sendRevisions()
  }

  /** What was frozen goes before the entry that issues it; with one that is refused its entry is set aside. */
  private async sendRevisions(): Promise<ApiError[]> {
    const { revisions, entries } = this.device
    const troubles: ApiError[] = []
    for (const revision of await revisions.orderBy('unsent').toArray()) {
      const issuing = await entries
        .where('key')
        .equals(revision.key)
        .filter(({ entry }) => frozenWith(entry) === revision.id)
        .first()
      if (!issuing || issuing.refused !== undefined) continue
      try {
        await this.server.addRevision(revision)
        await revisions.put(withoutOrder(revision))
      }
      catch (error) {
        troubles.push(
          ...(await afterFailure(error, refusal => entries.update(issuing.n!, { refused: reasonOf(refusal) }))),
        )
      }
    }
    return troubles
  }

  /**
   * The entries that are next: the first that waits, of a wall that is not in trouble, and those after it that are of
   * the same wall. One that issues a revision waits until the server has what was frozen, which may have been kept just
   * now; what comes after it on its wall waits with it.
   */
  private async nextEntries(inTrouble: Set<string>): Promise<UnsentEntry[]> {
    const waiting = await this.device.entries
      .orderBy('n')
      .filter(({ refused, key }) => refused === undefined && !inTrouble.has(key))
      .limit(AT_ONCE)
      .toArray()
    const unsent = new Set(await this.device.revisions.orderBy('unsent').primaryKeys())
    const isHeld = ({ entry }: UnsentEntry) => unsent.has(frozenWith(entry) ?? '')
    const held = waiting.find((each, n) => isHeld(each) && waiting.findIndex(({ key }) => key === each.key) === n)
    if (held) {
      inTrouble.add(held.key)
      return this.nextEntries(inTrouble)
    }
    const other = waiting.findIndex(each => each.key !== waiting[0]!.key || isHeld(each))
    return other < 0 ? waiting : waiting.slice(0, other)
  }

  private async sendEntries(): Promise<ApiError[]> {
    const troubles: ApiError[] = []
    const inTrouble = new Set<string>()
    for (let next = await this.nextEntries(inTrouble); next.length > 0; next = await this.nextEntries(inTrouble)) {
      const { site, wall, key } = next[0]!
      try {
        const { results } = await this.server.addEntries(
          site,
          wall,
          next.map(({ entry }) => entry),
        )
        await this.noteResults(key, next, results)
      }
      catch (error) {
        const trouble = await afterFailure(error, refusal =>
          this.device.entries.bulkPut(next.map(entry => ({ ...entry, refused: reasonOf(refusal) }))),
        )
        if (trouble.length > 0) inTrouble.add(key)
        troubles.push(...trouble)
      }
    }
    return troubles
  }

  private async noteResults(
    key: string,
    sent: UnsentEntry[],
    results: Awaited<ReturnType<Server['addEntries']>>['results'],
  ): Promise<void> {
    const { device } = this
    await device.transaction('rw', device.entries, device.seen, async () => {
      const kept: LogEntry[] = []
      for (const [n, unsent] of sent.entries()) {
        const result = results[n]!
        if ('error' in result) {
          await device.entries.put({ ...unsent, refused: reasonOf(result.error) })
          continue
        }
        // The server has it, and a planner decides: this device need not keep it.
        if ('setAside' in result) this.set({ setAside: [...(this.state.setAside ?? []), result.setAside] })
        else kept.push(result.entry)
        await device.entries.delete(unsent.n!)
      }
      const seen = await device.seen.get(key)
      if (!seen) return
      const known = new Set(seen.state.job.log.map(({ id }) => id))
      const log = [...seen.state.job.log, ...kept.filter(({ id }) => !known.has(id))]
      await device.seen.put({ ...seen, state: { ...seen.state, job: { ...seen.state.job, log } } })
    })
  }
}
