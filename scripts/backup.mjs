import { createHash } from 'node:crypto'
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, isAbsolute, join, normalize, relative, resolve, sep } from 'node:path'
import SQLite from 'better-sqlite3'

/**
 * A whole data folder as it is at one moment, and back: `npm run backup [-- FOLDER]` while the server runs,
 * `npm run restore -- FOLDER` while none does.
 */

process.umask(0o077)

const FORMAT = 'wide-trellis-backup'
/** Of a firm, in the data folder itself or in a folder of its own. */
const DATABASE = 'wide-trellis.db'
const ACCOUNTS = 'accounts.db'
const stamp = () => new Date().toISOString().replace(/[:.]/g, '-')
const fail = (message) => {
  console.error(message)
  process.exit(1)
}

const filesIn = folder =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter(entry => entry.isFile())
    .map(entry => relative(folder, join(entry.parentPath ?? entry.path, entry.name)))
    .sort()
const digestOf = path => createHash('sha256').update(readFileSync(path)).digest('hex')

/** What is wrong with a database file; empty where nothing is. */
function damageIn(file) {
  const db = new SQLite(file, { readonly: true })
  try {
    const [{ integrity_check: said }] = db.pragma('integrity_check')
    return [
      ...(said === 'ok' ? [] : [said]),
      ...(db.pragma('foreign_key_check').length > 0 ? ['rows without what they belong to'] : []),
    ].join('; ')
  }
  finally {
    db.close()
  }
}

/** How far each site’s log of a database has grown: what a later copy must still have. */
function headsIn(file) {
  const db = new SQLite(file, { readonly: true })
  try {
    return db.prepare(
      'SELECT sites.id AS site, log.seq, log.hash FROM log JOIN sites ON sites.key = log.site '
      + 'WHERE log.seq = (SELECT max(seq) FROM log AS last WHERE last.site = log.site)',
    ).all()
  }
  finally {
    db.close()
  }
}

/** The folders of the firms of a data folder: itself, and those within it. */
const firmsIn = data => [
  '.',
  ...(existsSync(join(data, 'firms')) ? readdirSync(join(data, 'firms')).map(firm => join('firms', firm)) : []),
]

/** Copies a database by SQLite's own backup, which a server at work does not disturb. */
async function copyDatabase(from, to) {
  mkdirSync(dirname(to), { recursive: true })
  const source = new SQLite(from, { readonly: true, fileMustExist: true, timeout: 10_000 })
  await source.backup(to)
  source.close()
  const damage = damageIn(to)
  if (damage) fail(`${from} is damaged, and was not backed up: ${damage}. Keep the backups that there are.`)
}

/**
 * Copies accounts and the databases of all firms, then the pictures and files, which never change once they are there.
 */
async function backUp(data, to) {
  if (![DATABASE, ACCOUNTS].some(name => existsSync(join(data, name))))
    fail(`${data} has no ${DATABASE}. Set WT_DATA to the server's data folder.`)
  if (existsSync(to)) fail(`${to} is there already. Name a folder that is not.`)
  const part = `${to}.part`
  rmSync(part, { recursive: true, force: true })
  mkdirSync(part, { recursive: true })
  const databases = [ACCOUNTS, ...firmsIn(data).map(firm => join(firm, DATABASE))].filter(file =>
    existsSync(join(data, file)),
  )
  for (const file of databases) await copyDatabase(join(data, file), join(part, file))
  for (const kept of firmsIn(data).flatMap(firm => [join(firm, 'photos'), join(firm, 'files')]))
    if (existsSync(join(data, kept)))
      cpSync(join(data, kept), join(part, kept), { recursive: true, filter: path => !path.endsWith('.part') })
  const files = Object.fromEntries(filesIn(part).map(file => [file, digestOf(join(part, file))]))
  const ofFirms = databases.filter(file => file !== ACCOUNTS)
  const heads = Object.fromEntries(ofFirms.map(file => [file, headsIn(join(part, file))]))
  const note = { format: FORMAT, version: 1, at: new Date().toISOString(), heads, files }
  writeFileSync(join(part, 'backup.json'), JSON.stringify(note, null, 2))
  renameSync(part, to)
  console.log(
    `${to}: ${databases.length} databases and ${Object.keys(files).length - databases.length} pictures and other `
    + `files. Keep it on another disk.`,
  )
}

/** The files of a backup, each as it was when it was made. */
function checked(from) {
  const note = join(from, 'backup.json')
  if (!existsSync(note)) fail(`${from} is no backup: it has no backup.json.`)
  const { format, files } = JSON.parse(readFileSync(note, 'utf8'))
  if (format !== FORMAT) fail(`${from} is no backup of Wide Trellis.`)
  const astray = Object.keys(files).find(file => isAbsolute(file) || normalize(file).split(sep).includes('..'))
  if (astray !== undefined) fail(`${from} is no backup: “${astray}” is not within it. Nothing was restored.`)
  const changed = Object.entries(files)
    .filter(([file, digest]) => !existsSync(join(from, file)) || digestOf(join(from, file)) !== digest)
    .map(([file]) => file)
  if (changed.length > 0)
    fail(`${from} is not as it was made: ${changed.slice(0, 5).join(', ')}. Nothing was restored.`)
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
  // A server that is started between the two would begin an empty folder.
  const under = `${data}.restoring`
  writeFileSync(under, JSON.stringify({ from, ...aside && { aside } }))
  if (aside) renameSync(data, aside)
  renameSync(incoming, data)
  rmSync(under)
  console.log(
    `${data} is as ${from} has it.${aside ? ` What was there is in ${aside}.` : ''} Everybody signs in again.`,
  )
}

const [verb, folder] = process.argv.slice(2)
const data = resolve(process.env.WT_DATA || '.data')
if (verb === 'restore') {
  if (!folder) fail('Name the backup: npm run restore -- FOLDER')
  restore(resolve(folder), data)
}
else await backUp(data, resolve(folder ?? join('backups', stamp())))
