import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import SQLite from 'better-sqlite3'

/** Prints a code by which one more firm is begun on this server: `npm run firm`, while the server runs or not. It works once, within seven days. */
const file = join(resolve(process.env.WT_DATA || '.data'), 'accounts.db')
if (!existsSync(file)) {
  console.error(`There is no ${file}. Start the server once, or set WT_DATA to its data folder.`)
  process.exit(1)
}
const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789'
const code = [...randomBytes(12)].map(byte => LETTERS[byte % LETTERS.length]).join('').replace(/(.{4})(?=.)/g, '$1-')
const now = new Date()
const db = new SQLite(file, { timeout: 5_000 })
db.prepare('INSERT INTO invitations (id, kind, secret, name, address, role, sites, made_by, made_at, expires_at) VALUES (?, \'firm\', ?, \'\', \'\', \'planner\', \'[]\', \'The server\', ?, ?)')
  .run(randomUUID(), createHash('sha256').update(code).digest('hex'), now.toISOString(), new Date(now.getTime() + 7 * 86_400_000).toISOString())
db.close()
console.log(`Begin a firm at /begin with this code, which works once: ${code}`)
