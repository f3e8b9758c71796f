import { merge, same, type LogEntry, type Wall } from '~~/core/job'
import { frozenWith } from '~~/core/log'
import { wallKey, type Device } from './device'
import { designOf } from './keptChanges'
import type { Outbox } from './outbox'
import { SAVED, savingAfter, type Saving, type SavingEvent } from './savingState'
import { unsentOf } from './unsent'

/** After so long it is tried again to write to a device that is full, ms. */
const TRY_AGAIN = 5_000

type Store = ReturnType<typeof useWallStore>

/** The open wall and what the device's store has of it, kept in step: one action after the other. */
export class KeptWall {
  readonly saving = shallowRef<Saving>(SAVED)
  readonly site: string
  readonly id: string
  readonly key: string
  /** The wall as last written to the device's store. */
  private written: Wall | undefined
  private queue: Promise<void> = Promise.resolve()
  private timer: ReturnType<typeof setTimeout> | undefined

  constructor(private readonly store: Store, private readonly device: Device, private readonly outbox: Outbox) {
    this.site = store.site
    this.id = store.id
    this.key = wallKey(this.site, this.id)
    this.written = store.wall
  }

  /** Whether this wall is still the open one: the next wall opens before this page is gone. */
  isOpen(): boolean {
    return this.store.site === this.site && this.store.id === this.id
  }

  private note(event: SavingEvent): void {
    this.saving.value = savingAfter(this.saving.value, event)
  }

  /** Runs actions one after the other, so that a read is never older than a write. */
  private inTurn(act: () => Promise<void>): void {
    this.queue = this.queue.then(act).catch(() => {
      clearTimeout(this.timer)
      this.timer = setTimeout(() => this.inTurn(() => this.write(undefined)), TRY_AGAIN)
    })
  }

  edited(wall: Wall | undefined): void {
    this.note({ kind: 'edited' })
    this.inTurn(() => this.write(wall))
  }

  changedElsewhere(): void {
    this.inTurn(() => this.refresh())
  }

  close(): void {
    clearTimeout(this.timer)
  }

  /** @param edited the wall as it was last edited here, for when another has been opened since */
  private async write(edited: Wall | undefined): Promise<void> {
    const { store } = this
    const upTo = this.saving.value.edits
    // A mark-out follows from the wall as it is then: that is kept before it.
    const isIssued = store.unwritten.some(([first]) => first && frozenWith(first.entry) !== undefined)
    if (isIssued) await this.writeDesign(edited).catch(() => {})
    await this.writeLog()
    await this.writeDesign(edited)
    this.note({ kind: 'kept', upTo })
  }

  /** What happened is recorded whatever becomes of the design. */
  private async writeLog(): Promise<void> {
    const { store, outbox } = this
    for (const set of store.unwritten) {
      const [{ site, entry: first }] = set as [{ site: string, entry: LogEntry }]
      const frozen = store.frozen.find(({ id }) => id === frozenWith(first))
      if (frozen) await outbox.issue(site, first.wall, frozen, first)
      else await outbox.addEntries(set.map(({ site, entry }) => ({ site, wall: entry.wall, entry })))
      store.written(set)
    }
  }

  private async writeDesign(edited: Wall | undefined): Promise<void> {
    const { store, outbox, written } = this
    const mine = this.isOpen() ? store.wall : edited
    if (!mine || !written || mine === written || (this.isOpen() && store.conflict)) return
    const both = await outbox.changeWall(this.site, written, mine, toRaw(store.addedModels))
    if (this.isOpen() && !same(both, mine)) store.wall = merge(mine, both, store.wall!)
    this.written = same(both, mine) ? mine : both
    await this.refresh()
  }

  /** Reads what the device's store has of this wall. */
  private async refresh(): Promise<void> {
    const { store, device, key } = this
    // At one moment: between one read and the next the server's answer may move a change from here to there.
    const [seen, change, log] = await device.transaction('r', device.seen, device.designs, device.entries, () =>
      Promise.all([device.seen.get(key), device.designs.get(key), unsentOf(device, key)]),
    )
    if (!this.isOpen()) return
    if (seen) store.receive(seen.state, log)
    this.note({ kind: 'read', change: change && designOf(change) })
    if (this.saving.value.isResolving) return
    if (change?.conflict) {
      if (store.conflict?.theirs.version !== change.conflict.version)
        store.setConflict({ theirs: change.conflict, base: change.base })
      return
    }
    const [stored, written] = [change?.wall ?? seen?.state.job.walls[0], this.written]
    if (!stored || !written) return
    // Another tab may have resolved it, or changed the wall.
    store.conflict = undefined
    if (!same(stored, written)) store.wall = merge(written, stored, store.wall!)
    this.written = stored
  }

  resolve(choice: 'mine-on-theirs' | 'theirs'): void {
    const { store, outbox } = this
    const theirs = store.conflict?.theirs
    if (!theirs) return
    this.note({ kind: 'resolving' })
    store.resolveConflict(choice)
    this.written = store.wall
    this.inTurn(async () => {
      this.note({ kind: 'resolved' })
      await outbox.resolveConflict(this.site, theirs, this.written!, toRaw(store.addedModels))
    })
  }
}
