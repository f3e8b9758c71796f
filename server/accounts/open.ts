import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { holdFolder } from '../database/folder'
import { dataFolder, openDatabase, openWhole, type Open } from '../database/connection'
import type { Database } from '../database/perDatabase'
import type * as firmSchema from '../database/schema'
import { openAccounts, type Accounts } from './form'
import { forgetArriving } from '../repositories/importing'
import { openHeadKey, signerOf } from '../guard/headKey'
import { signFor } from '../database/signer'
import { startClock } from '../utils/clock'
import { newestMoment } from './sessions'
import type * as schema from './schema'

/** What a firm of this server is, as far as its data goes. */
export interface FirmPlace { id: string, folder: string }

let letGo: (() => void) | undefined
let opened: Open<typeof schema> | undefined
/** By the folder that each is in. */
const ofFirms = new Map<string, Open<typeof firmSchema>>()
let beginFirm: (db: Database) => void = () => {}

/**
 * Opens the accounts of this server; databases of firms are opened when they are first asked for.
 *
 * @param begin puts in what the database of a firm begins with
 * @param alone whether no other process may have the folder; while it is being built upon, one server takes over
 *   from another
 * @throws DatabaseRefused in words
 */
export function startDatabases(begin: (db: Database) => void, alone = true): void {
  const folder = dataFolder()
  letGo = alone ? holdFolder(folder) : undefined
  beginFirm = begin
  try {
    openHeadKey()
    opened = openWhole(join(folder, 'accounts.db'), openAccounts, () => {})
    startClock(newestMoment(opened.db))
  }
  catch (error) {
    letGo?.()
    throw error
  }
}

/** The accounts of this server. */
export function accounts(): Accounts {
  if (!opened) throw new Error('the accounts are asked for before they are opened')
  return opened.db
}

/** The folder of a firm: its database and its pictures. The first firm of a server has the data folder itself. */
export const folderOfFirm = ({ folder }: FirmPlace): string => join(dataFolder(), folder)

/** The database of a firm. @throws DatabaseRefused in words, where it cannot be opened */
export function databaseOfFirm(firm: FirmPlace): Database {
  const known = ofFirms.get(firm.folder)
  if (known) return known.db
  // What an import left behind that a power cut ended.
  rmSync(join(folderOfFirm(firm), 'incoming'), { recursive: true, force: true })
  const made = openWhole(join(folderOfFirm(firm), 'wide-trellis.db'), openDatabase, beginFirm)
  ofFirms.set(firm.folder, made)
  forgetArriving(made.db)
  signFor(made.db, signerOf(firm.id))
  return made.db
}

/** Closes every database, writing what is in the write-ahead logs into the files. */
export function closeDatabases(): void {
  for (const { close } of ofFirms.values()) close()
  ofFirms.clear()
  opened?.close()
  opened = undefined
  letGo?.()
}
