import { writeSync } from 'node:fs'
import { exampleJob } from '../fixtures/job'
import { clientAuthor } from '../../server/accounts/authorship'
import { openDatabase } from '../../server/database/connection'
import { addLogEntry } from '../../server/repositories/log'
import { importJob, listSites } from '../../server/repositories/sites'
import { readWall, saveWall } from '../../server/repositories/walls'

/*
 * Writes entries and versions of one wall into a database file as fast as it can, and says of each that it is kept
 * once the repository has returned. It never ends by itself: `kills.ts` kills it, opens the file and looks.
 */
const [file, name] = process.argv.slice(2) as [string, string]
const { db } = openDatabase(file)
const now = () => new Date().toISOString()
if (listSites(db).length === 0) importJob(db, exampleJob(), 'Isla', now())
for (let n = 0; ; n++) {
  const id = `${name}-${n}`
  addLogEntry(db, 'holm-point', 'w1', clientAuthor, { id, at: now(), by: 'Odd', wall: 'w1', kind: 'remark', note: 'x' }, now())
  writeSync(1, `entry ${id}\n`)
  const { version, job } = readWall(db, 'holm-point', 'w1')
  const saved = saveWall(db, 'holm-point', 'w1', { ...job.walls[0]!, height: 3300 + version % 50 }, version, 'Isla', now())
  writeSync(1, `version ${saved.version}\n`)
  const site = { ...exampleJob().site, id: `site-${id}` }
  importJob(db, { ...exampleJob(), site }, 'Isla', now())
  writeSync(1, `site ${site.id}\n`)
}
