import { chmodSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import SQLite from 'better-sqlite3'
import { DatabaseRefused, refusal } from './refusal'

/** A server that ends lets go within so long, ms: the next one waits for it. */
const LETS_GO = 2_000

/** Who holds a folder, as that one wrote it down. */
function owner(note: string): string {
  try {
    const { process: id, since } = JSON.parse(readFileSync(note, 'utf8')) as { process: number, since: string }
    return `process ${id}, since ${since}`
  }
  catch {
    return 'another process'
  }
}

/**
 * Holds a data folder for this process alone: two servers on one would not see what the other keeps in mind. The
 * system lets go of it when this process ends, however it ends.
 *
 * @returns lets go of it
 * @throws DatabaseRefused where another holds it, or where it can be no data folder
 */
export function holdFolder(folder: string): () => void {
  const [file, note] = [join(folder, 'lock.db'), join(folder, 'lock.json')]
  let lock: SQLite.Database | undefined
  if (existsSync(`${folder}.restoring`) && !existsSync(folder)) {
    throw new DatabaseRefused(`A restore of ${folder} was cut short. Run npm run restore again with the same backup.`)
  }
  try {
    mkdirSync(folder, { recursive: true })
    chmodSync(folder, 0o700)
    lock = new SQLite(file, { timeout: LETS_GO })
    lock.exec('BEGIN EXCLUSIVE')
    writeFileSync(note, JSON.stringify({ process: process.pid, since: new Date().toISOString() }))
  }
  catch (error) {
    lock?.close()
    if ((error as { code?: string }).code === 'SQLITE_BUSY')
      throw new DatabaseRefused(
        `${folder} is in use by ${owner(note)}. Stop that server, or choose another data folder with WT_DATA.`,
      )
    throw refusal(folder, error)
  }
  return () => {
    rmSync(note, { force: true })
    lock.close()
  }
}
