import { readdirSync, readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { readJob, type Catalogue } from '../core/job'
import { withFrozen } from '../core/revision'
import { atomically } from './database/atomically'
import type { Database } from './database/perDatabase'
import { importModels, readCatalogue } from './repositories/catalogue'
import { importJob, listSites } from './repositories/sites'
import { KINDS, MODEL_KINDS, modelsOf } from '../core/catalogue'

const folder = () => resolve(process.env.WT_DEMO_FOLDER || 'demo')

/** Puts the catalogue of invented makers that ships with the product into a database, of each kind of model that it has none of. */
export function seedCatalogue(db: Database): void {
  const kept = readCatalogue(db)
  const missing = MODEL_KINDS.filter(kind => kept[KINDS[kind].list].length === 0)
  if (missing.length === 0) return
  const shipped = JSON.parse(readFileSync(join(folder(), 'catalogue.json'), 'utf8')) as Catalogue
  atomically(db, () => {
    for (const kind of missing) importModels(db, kind, modelsOf(shipped, kind), 'Demo', new Date().toISOString())
  })
}

/** Loads the demo’s sites into a database that has none. */
export function seedDemo(db: Database): void {
  if (listSites(db).length > 0) return
  const jobs = readdirSync(folder()).filter(name => name !== 'catalogue.json').sort().map(file => readJob(readFileSync(join(folder(), file), 'utf8')))
  atomically(db, () => {
    for (const job of jobs) importJob(db, withFrozen(job), 'Demo', new Date().toISOString())
  })
}
