import type { Table } from 'dexie'
import type { Catalogue, Wall } from '~~/core/job'
import type { Settings } from '~~/core/programme'
import type { ServerWall } from '~~/core/api/walls'
import { PROGRAMME, type DesignChange, type Device, type SettingsChange } from './device'
import { changeAfter, type ChangeEvent, type Outcome, type PendingChange } from './pendingChange'

/** What is kept of a wall's change beside the change itself. */
export interface AboutWall { key: string, site: string, id: string, models: Partial<Catalogue> }

/** Lets something happen to the change that a table keeps under a key; inside a transaction of that table. */
async function happen<Doc, Theirs, Kept>(
  table: Table<Kept, string>,
  key: string,
  event: ChangeEvent<Doc, Theirs>,
  changeOf: (kept: Kept) => PendingChange<Doc, Theirs>,
  keptAs: (change: PendingChange<Doc, Theirs>, before: Kept | undefined) => Kept,
): Promise<Outcome<Doc, Theirs>> {
  const before = await table.get(key)
  const outcome = changeAfter(before && changeOf(before), event)
  if (outcome.change) await table.put(keptAs(outcome.change, before))
  else if (before) await table.delete(key)
  return outcome
}

export const designOf = ({ wall: doc, ...change }: DesignChange): PendingChange<Wall, ServerWall> => {
  const { key: _key, site: _site, id: _id, models: _models, ...rest } = change
  return { ...rest, doc }
}

/** @param about what the change is of, where it may be the first */
export const happenToDesign = (
  { designs }: Device, key: string, event: ChangeEvent<Wall, ServerWall>, about?: AboutWall,
): Promise<Outcome<Wall, ServerWall>> =>
  happen(designs, key, event, designOf, ({ doc: wall, ...change }, before) => {
    const { site, id, models } = (about ?? before)!
    return { key, site, id, models, ...change, wall }
  })

const settingsOf = ({ key: _, settings: doc, ...change }: SettingsChange): PendingChange<Settings, never> =>
  ({ ...change, doc })

export const happenToSettings = (
  { settings }: Device, event: ChangeEvent<Settings, never>,
): Promise<Outcome<Settings, never>> =>
  happen(settings, PROGRAMME, event, settingsOf, ({ doc, ...change }): SettingsChange =>
    ({ key: PROGRAMME, ...change, settings: doc }))
