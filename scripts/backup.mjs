import { createHash } from 'node:crypto'
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join, relative, resolve } from 'node:path'
import SQLite from 'better-sqlite3'

/**
 * A whole data folder as it is at one moment, and back: `npm run backup [-- FOLDER]` while the server runs,
 * `npm run restore -- FOLDER` while none does.
 */

const FORMAT = 'wide-trellis-backup'
const DATABASE = 'wide-trellis.db'
const stamp = () => new Date().toISOString().replace(/[:.]/g, '-')
const fail = (message) => {
  console.error(message)
  process.exit(1)
}

const filesIn = folder => readdirSync(folder, { recursive: true, withFileTypes: true }).filter(entry => entry.isFile()).map(entry => relative(folder, join(entry.parentPath ?? entry.path, entry.name))).sort()
const digestOf = path => createHash('sha256').update(readFileSync(path)).digest('hex')

/** What is wrong with a database file; empty where nothing is. */
function damageIn(file) {
  const db = new SQLite(file, { readonly: true })
  try {
    const [{ integrity_check: said }] = db.pragma('integrity_check')
    return [...said === 'ok' ? [] : [said], ...db.pragma('foreign_key_check').length > 0 ? ['rows without what they belong to'] : []].join('; ')
  }
  finally {
    db.close()
  }
}

/** Copies the database by SQLite's own backup, which a server at work does not disturb, then the pictures, which never change once they are there. */
async function backUp(data, to) {
  if (!existsSync(join(data, DATABASE))) fail(`${data} has no ${DATABASE}. Set WT_DATA to the server's data folder.`)
  if (existsSync(to)) fail(`${to} is there already. Name a folder that is not.`)
  const part = `${to}.part`
  rmSync(part, { recursive: true, force: true })
  mkdirSync(part, { recursive: true })
  const source = new SQLite(join(data, DATABASE), { readonly: true, fileMustExist: true, timeout: 10_000 })
  await source.backup(join(part, DATABASE))
  source.close()
  const damage = damageIn(join(part, DATABASE))
  if (damage) fail(`The database in ${data} is damaged, and was not backed up: ${damage}. Keep the backups that there are.`)
  if (existsSync(join(data, 'photos'))) cpSync(join(data, 'photos'), join(part, 'photos'), { recursive: true, filter: path => !path.endsWith('.part') })
  const files = Object.fromEntries(filesIn(part).map(file => [file, digestOf(join(part, file))]))
  writeFileSync(join(part, 'backup.json'), JSON.stringify({ format: FORMAT, version: 1, at: new Date().toISOString(), files }, null, 2))
  renameSync(part, to)
  console.log(`${to}: the database and ${Object.keys(files).length - 1} files of pictures. Keep it on another disk.`)
}

/** The files of a backup, each as it was when it was made. */
function checked(from) {
  const note = join(from, 'backup.json')
  if (!existsSync(note)) fail(`${from} is no backup: it has no backup.json.`)
  const { format, files } = JSON.parse(readFileSync(note, 'utf8'))
  if (format !== FORMAT) fail(`${from} is no backup of Wide Trellis.`)
  const changed = Object.entries(files).filter(([file, digest]) => !existsSync(join(from, file)) || digestOf(join(from, file)) !== digest).map(([file]) => file)
  if (changed.length > 0) fail(`${from} is not as it was made: ${changed.slice(0, 5).join(', ')}. Nothing was restored.`)
  return Object.keys(files)
}

/** Whether a server holds a data folder. */
function isHeld(data) {
  const file = join(data, 'lock.db')
  if (!existsSync(file)) return false
  const lock = new SQLite(file, { timeout: 500 })
  try {
    lock.exec('BEGIN EXCLUSIVE')
    return false
  }
  catch {
    return true
  }
  finally {
    lock.close()
  }
}

/** Puts a backup in the place of a data folder; what is there is moved aside and kept. */
function restore(from, data) {
  const files = checked(from)
  if (isHeld(data)) fail(`${data} is in use by a server. Stop it first.`)
  const incoming = `${data}.incoming`
  rmSync(incoming, { recursive: true, force: true })
  for (const file of files) cpSync(join(from, file), join(incoming, file), { recursive: true })
  const aside = existsSync(data) ? `${data}.before-${stamp()}` : undefined
  if (aside) renameSync(data, aside)
  renameSync(incoming, data)
  console.log(`${data} is as ${from} has it.${aside ? ` What was there is in ${aside}.` : ''}`)
}

const [verb, folder] = process.argv.slice(2)
const data = resolve(process.env.WT_DATA || '.data')
if (verb === 'restore') {
  if (!folder) fail('Name the backup: npm run restore -- FOLDER')
  restore(resolve(folder), data)
}
else await backUp(data, resolve(folder ?? join('backups', stamp())))
