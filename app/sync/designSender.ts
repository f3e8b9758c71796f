import { clash, same, withNumbers, type Wall } from '~~/core/job'
import type { ApiError } from '../utils/api'
import { withModels } from '../utils/withModels'
import type { ServerWall } from '~~/core/api/walls'
import { noteSeen, type DesignChange, type Device } from './device'
import { happenToDesign } from './keptChanges'
import type { ChangeEvent, Outcome } from './pendingChange'
import { afterFailure, reasonOf, type Saved, type Server } from './sending'

/** What follows for the outbox from what became of a change. */
export interface Told {
  /** There is more to send. */
  again: () => void
  /** A change was laid on what another person had saved. */
  merged: (key: string, by: string) => void
}

/** Whether the server has what was sent, although its answer was lost: it may have given numbers since. */
const isKeptAs = ({ job }: ServerWall, sent: Wall) =>
  same(job.walls[0], sent) || same(job.walls[0], withNumbers(sent))

/** Sends changes of walls, each on the version that it was made from; what becomes of each is told by `changeAfter`. */
export class DesignSender {
  constructor(private readonly device: Device, private readonly server: Server, private readonly tell: Told) {}

  /**
   * Sends every change that waits, or those of some walls. @returns what the server was in trouble with
   *
   * @param of keys of the walls whose changes go; absent: all
   */
  async send(of?: ReadonlySet<string>): Promise<ApiError[]> {
    const troubles: ApiError[] = []
    const waiting = await this.device.designs
      .filter(({ key, refused, conflict }) => refused === undefined && conflict === undefined && (of?.has(key) ?? true))
      .primaryKeys()
    for (const key of waiting) troubles.push(...await this.sendOne(key))
    return troubles
  }

  private async sendOne(key: string): Promise<ApiError[]> {
    const { change } = await this.happen(key, { kind: 'sending' })
    const kept = await this.device.designs.get(key)
    if (!kept || !change?.sent) return []
    const { sent } = change
    try {
      await this.noteSaved(kept, sent, await this.server.saveWall({ ...kept, wall: sent }))
      return []
    }
    catch (error) {
      return afterFailure(error, async (refusal) => {
        const theirs = refusal.status === 409 ? (refusal.current as ServerWall | undefined) : undefined
        if (!theirs) await this.happen(key, { kind: 'refused', sent, why: reasonOf(refusal) })
        else if (isKeptAs(theirs, sent)) await this.noteSaved(kept, sent, { ...theirs, wall: theirs.job.walls[0]! })
        else await this.overtaken(key, theirs)
      })
    }
  }

  private async happen(key: string, event: ChangeEvent<Wall, ServerWall>): Promise<Outcome<Wall, ServerWall>> {
    const { device } = this
    const outcome = await device.transaction('rw', device.designs, () => happenToDesign(device, key, event))
    if (outcome.again) this.tell.again()
    return outcome
  }

  /** Another person saved it meanwhile. The two together have to be a wall that may be; else a person decides. */
  private async overtaken(key: string, theirs: ServerWall): Promise<void> {
    const { device } = this
    const now = { version: theirs.version, doc: theirs.job.walls[0]! }
    await noteSeen(device, key, theirs)
    const { base, wall, models } = (await device.designs.get(key))!
    // Where a person is to decide nothing is fetched: that may fail for as long as the page is open. Else it is fetched
    // before the transaction, which would not wait for it.
    const faults = clash(base, wall, now.doc) ? undefined : (await import('~~/core/job/validate')).wallFaults
    const catalogue = withModels(theirs.job.catalogue, models)
    const may = (both: Wall) => faults?.(both, catalogue, '$', now.doc).length === 0
    const { merged } = await this.happen(key, { kind: 'overtaken', now, aside: { conflict: theirs }, may })
    if (merged) this.tell.merged(key, theirs.savedBy)
  }

  /** Notes that the server has a change. */
  private async noteSaved(
    { key, models }: DesignChange,
    sent: Wall,
    { version, savedAt, savedBy, wall: kept = sent }: Saved,
  ): Promise<void> {
    const { device } = this
    await device.transaction('rw', device.designs, device.seen, async () => {
      const seen = await device.seen.get(key)
      if (seen) {
        const { job } = seen.state
        const catalogue = withModels(job.catalogue, models)
        const state = { job: { ...job, catalogue, walls: [kept] }, version, savedAt, savedBy }
        await device.seen.put({ ...seen, state })
      }
      const { again } = await happenToDesign(device, key, { kind: 'saved', sent, kept: { version, doc: kept } })
      if (again) this.tell.again()
    })
  }
}
