import { clash, merge, same, withNumbers, type Wall } from '~~/core/job'
import type { ApiError } from '../utils/api'
import { withModels } from '../utils/withModels'
import { noteSeen, type DesignChange, type Device, type ServerWall } from './device'
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

/**
 * Sends changes of walls, each on the version that it was made from, and lays it on what another person saved
 * meanwhile where the two touch different places.
 */
export class DesignSender {
  constructor(private readonly device: Device, private readonly server: Server, private readonly tell: Told) {}

  /**
   * Sends every change that waits, or those of some walls. @returns what the server was in trouble with
   *
   * @param of keys of the walls whose changes go; absent: all
   */
  async send(of?: ReadonlySet<string>): Promise<ApiError[]> {
    const { designs } = this.device
    const troubles: ApiError[] = []
    for (const change of await designs
      .filter(({ key, refused, conflict }) => refused === undefined && conflict === undefined && (of?.has(key) ?? true))
      .toArray()) {
      const { key, base, sent = change.wall } = change
      if (!change.sent && same(sent, base)) {
        await designs
          .where({ key })
          .and(now => same(now.wall, base))
          .delete()
        continue
      }
      await designs.update(key, { sent })
      try {
        await this.noteSaved(change, sent, await this.server.saveWall({ ...change, wall: sent }))
      }
      catch (error) {
        troubles.push(
          ...(await afterFailure(error, async (refusal) => {
            const theirs = refusal.status === 409 ? (refusal.current as ServerWall | undefined) : undefined
            if (theirs && isKeptAs(theirs, sent))
              await this.noteSaved(change, sent, { ...theirs, wall: theirs.job.walls[0]! })
            else if (!theirs || !(await this.laidOn(key, theirs)))
              await this.setAside(key, sent, theirs ? { conflict: theirs } : { refused: reasonOf(refusal) })
          })),
        )
      }
    }
    return troubles
  }

  /**
   * Lays a change on what another person saved meanwhile, where they changed other places of the wall, so that nobody
   * need be asked.
   *
   * @returns false where both changed the same, or where the two together would be no wall that may be
   */
  private async laidOn(key: string, theirs: ServerWall): Promise<boolean> {
    const { device } = this
    const now = theirs.job.walls[0]!
    await noteSeen(device, key, theirs)
    // Where a person is to decide nothing is fetched: that may fail for as long as the page is open.
    const waiting = (await device.designs.get(key))!
    if (clash(waiting.base, waiting.wall, now)) return false
    // Fetched before the transaction, which would not wait for it.
    const { wallFaults } = await import('~~/core/job/validate')
    const laid = await device.transaction('rw', device.designs, async () => {
      const { sent: _, ...change } = (await device.designs.get(key))!
      if (clash(change.base, change.wall, now)) return false
      const wall = merge(change.base, change.wall, now)
      if (wallFaults(wall, withModels(theirs.job.catalogue, change.models), '$', now).length > 0) return false
      await device.designs.put({ ...change, version: theirs.version, base: now, wall })
      return true
    })
    if (laid) {
      this.tell.again()
      this.tell.merged(key, theirs.savedBy)
    }
    return laid
  }

  /** Sets a change aside; where only an earlier state of the wall was refused, the newer one is tried. */
  private async setAside(key: string, sent: Wall, why: Pick<DesignChange, 'conflict' | 'refused'>): Promise<void> {
    const { designs } = this.device
    const { sent: _, ...change } = (await designs.get(key))!
    const isNewer = why.refused !== undefined && !same(change.wall, sent)
    await designs.put(isNewer ? change : { ...change, ...why })
    if (isNewer) this.tell.again()
  }

  /** Notes that the server has a change; what was changed since it was sent is a change of the new version. */
  private async noteSaved(
    { key, models }: DesignChange,
    sent: Wall,
    { version, savedAt, savedBy, wall: kept = sent }: Saved,
  ): Promise<void> {
    const { device } = this
    await device.transaction('rw', device.designs, device.seen, async () => {
      const [change, seen] = [await device.designs.get(key), await device.seen.get(key)]
      if (seen) {
        const { job } = seen.state
        await device.seen.put({
          ...seen,
          state: {
            job: { ...job, catalogue: withModels(job.catalogue, models), walls: [kept] },
            version,
            savedAt,
            savedBy,
          },
        })
      }
      if (!change || same(change.wall, sent)) return device.designs.delete(key)
      const { sent: _, ...rest } = change
      await device.designs.put({ ...rest, version, base: kept, wall: merge(sent, rest.wall, kept) })
      this.tell.again()
    })
  }
}
