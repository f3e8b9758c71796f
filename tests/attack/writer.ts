import { writeSync } from 'node:fs'
import { exampleJob } from '../fixtures/job'
import type { StoredRevision } from '../../core/job'
import { asBuilt } from '../../core/log'
import { contextOf, planWall } from '../../core/plan'
import { freeze, letterOf } from '../../core/revision'
import { clientAuthor } from '../../server/accounts/authorship'
import { openDatabase } from '../../server/database/connection'
import { addLogEntry } from '../../server/repositories/log'
import { forgetArriving, importInSteps, importJob } from '../../server/repositories/importing'
import { listSites } from '../../server/repositories/sites'
import { addRevision } from '../../server/repositories/revisions'
import { readWall, saveWall } from '../../server/repositories/walls'

/*
 * Writes entries and versions of one wall into a database file as fast as it can, and says of each that it is kept
 * once the repository has returned. It never ends by itself: `kills.ts` kills it, opens the file and looks.
 */
const [file, name] = process.argv.slice(2) as [string, string]
const { db } = openDatabase(file)
forgetArriving(db)
const now = () => new Date().toISOString()
if (listSites(db).length === 0) importJob(db, exampleJob(), 'Isla', now())
let [after, letters] = lastIssue()

/** What was issued last, and how many times something was. */
function lastIssue(): [string | undefined, number] {
  const issued = readWall(db, 'holm-point', 'w1').job.log.filter(entry => entry.kind === 'issued')
  return [issued.at(-1)?.frozen, issued.length]
}

/** Freezes the wall as it was saved last, and issues it. */
function issue(id: string): void {
  const { job } = readWall(db, 'holm-point', 'w1')
  const [wall, context] = [job.walls[0]!, contextOf(job)]
  const built = asBuilt(job.log, wall)
  const more = { tag: id, ...after !== undefined && { after } }
  const frozen = freeze(wall, { ...job, rules: context.rules }, built, planWall(wall, context, built), more)
  addRevision(db, 'holm-point', 'w1', frozen as unknown as StoredRevision)
  const said = { id: `issue-${id}`, at: now(), by: 'Isla', wall: 'w1', kind: 'issued' }
  const entry = { ...said, revision: letterOf(letters++), frozen: frozen.id }
  const added = addLogEntry(db, { siteId: 'holm-point', wall: 'w1' }, clientAuthor, entry, now())
  if ('setAside' in added) throw new Error(added.setAside)
  after = frozen.id
  writeSync(1, `issued ${frozen.id}\n`)
}

for (let n = 0; ; n++) {
  const id = `${name}-${n}`
  const entry = { id, at: now(), by: 'Odd', wall: 'w1', kind: 'remark', note: 'x' }
  addLogEntry(db, { siteId: 'holm-point', wall: 'w1' }, clientAuthor, entry, now())
  writeSync(1, `entry ${id}\n`)
  const { version, job } = readWall(db, 'holm-point', 'w1')
  const wall = { ...job.walls[0]!, height: 3300 + version % 50 }
  const saved = saveWall(db, { siteId: 'holm-point', id: 'w1' }, { wall, version }, { by: 'Isla', at: now() })
  writeSync(1, `version ${saved.version}\n`)
  const site = { ...exampleJob().site, id: `site-${id}` }
  // A short log comes in at once, and a long one by steps.
  const entries = n % 2 === 0 ? 0 : 500
  const remark = { at: now(), by: 'Odd', wall: 'w1', kind: 'remark', note: 'x' } as const
  const log = Array.from({ length: entries }, (_, k) => ({ ...remark, id: `r${k}` }))
  const file = { ...exampleJob(), site, log }
  await importInSteps(db, { job: file, imported: { by: 'Isla', at: now(), entries }, saves: new Map() })
  writeSync(1, `site ${site.id}\n`)
  issue(id)
}
