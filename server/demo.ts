import { readdirSync, readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { readJob, type Catalogue } from '../core/job'
import type { Database } from './database/perDatabase'
import { importJob, listSites } from './repositories/sites'

const folder = () => resolve(process.env.WT_DEMO_FOLDER || 'demo')

/** The catalogue of invented makers that ships with the product; new sites start with it. */
export function shippedCatalogue(): Catalogue {
  return JSON.parse(readFileSync(join(folder(), 'catalogue.json'), 'utf8')) as Catalogue
}

/** Loads the demo’s sites into a database that has none. */
export function seedDemo(db: Database): void {
  if (listSites(db).length > 0) return
  for (const file of readdirSync(folder()).filter(name => name !== 'catalogue.json').sort()) {
    importJob(db, readJob(readFileSync(join(folder(), file), 'utf8')), 'Demo', new Date().toISOString())
  }
}
