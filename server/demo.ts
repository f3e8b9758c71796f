import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { readJob, type Catalogue, type Job } from '../core/job'
import { minuteOf, programmeOf, schedule, stretchesOf, type Settings, type WallOfProgramme } from '../core/programme'
import { wallState } from '../core/programme/wallState'
import type { Sample } from '../core/programme/tasks/workload'
import { ofKind } from '../core/log'
import { withFrozen } from '../core/revision'
import { atomically } from './database/atomically'
import type { Database } from './database/perDatabase'
import { keepFile } from './files/siteFiles'
import { importModels, readCatalogue, SAMPLE, wasEmptied } from './repositories/catalogue'
import { publish, readProgramme, saveSettings } from './repositories/programme'
import { importDemo } from './repositories/importing'
import { exportJob, listPlaces, listSites } from './repositories/sites'
import { addFile } from './repositories/siteFiles'
import { listWalls, refreshStates } from './repositories/wallStates'
import { MODEL_KINDS, modelsOf, SHELVES } from '../core/catalogue'
import { inProgram } from './root'

const folder = () => inProgram(process.env.WT_DEMO_FOLDER, 'demo')

/** A model without what the demo has of it in stock: a firm that begins has nothing. */
function withoutStock(model: object): object {
  const { stock: _, ...figures } = model as { stock?: number }
  return figures
}

/**
 * Puts the catalogue of invented makers that ships with the product into a database, of each kind of model that it has
 * none of. The demo's has a stock; another firm's is a sample, which it can take out again.
 */
export function addShippedCatalogue(db: Database, isDemo = false): void {
  const kept = readCatalogue(db)
  const missing = MODEL_KINDS.filter(kind => kept[SHELVES[kind]].length === 0)
  if (missing.length === 0) return
  const shipped = JSON.parse(readFileSync(join(folder(), 'catalogue.json'), 'utf8')) as Catalogue
  const at = new Date().toISOString()
  atomically(db, () => {
    for (const kind of missing) {
      const models = modelsOf(shipped, kind)
      if (isDemo) importModels(db, kind, models, 'Demo', at)
      else importModels(db, kind, models.map(withoutStock), SAMPLE, at)
    }
  })
}

/** Begins the catalogue of a firm; one that a person emptied stays empty. */
export function seedCatalogue(db: Database): void {
  if (!wasEmptied(db)) addShippedCatalogue(db, process.env.WT_DEMO === '1')
}

/** Loads the demo’s sites into a database that has none, and tells whether it had. */
export function seedDemo(db: Database): boolean {
  if (listSites(db).length > 0) return false
  const jobs = readdirSync(folder())
    .filter(name => name.endsWith('.json') && name !== 'catalogue.json' && name !== 'programme.json')
    .sort()
    .map(file => readJob(readFileSync(join(folder(), file), 'utf8')))
  atomically(db, () => {
    for (const job of jobs) importDemo(db, withFrozen(job), 'Demo', new Date().toISOString())
  })
  return true
}

/** Keeps the demo's files with its sites, in the firm's folder. */
export async function seedFiles(db: Database, firm: string, at: string): Promise<void> {
  const sites = join(folder(), 'files')
  for (const site of existsSync(sites) ? readdirSync(sites).sort() : []) {
    for (const name of readdirSync(join(sites, site)).sort())
      addFile(db, site, {
        file: await keepFile(firm, site, name, readFileSync(join(sites, site, name))),
        name,
        by: 'Isla Brandt',
        at,
      })
  }
}

/**
 * Puts the demo's programme into a database that has none, and publishes what is calculated of it: crews of the people
 * whose names its file has, the weeks from now on.
 *
 * @param idOf the id of a person of the firm by his name
 */
export async function seedProgramme(
  db: Database,
  idOf: (name: string) => string | undefined,
  now: Date,
): Promise<void> {
  if (readProgramme(db).version > 0) return
  const given = JSON.parse(readFileSync(join(folder(), 'programme.json'), 'utf8')) as Settings
  const settings = {
    ...given,
    crews: given.crews.map(crew => ({ ...crew, people: crew.people.flatMap(name => idOf(name) ?? []) })),
  }
  const { version } = saveSettings(db, settings, 0)
  await refreshStates(db, pages => Promise.resolve(wallState(JSON.parse([...pages].join('')) as Job)))
  const plan = (walls: WallOfProgramme[], samples: Sample[], at: string) => {
    const { programme, info } = programmeOf({ settings, sites: listPlaces(db), walls, samples, now: minuteOf(at) })
    publish(db, stretchesOf(schedule(programme).placed, info), version, 'Isla Brandt', at)
  }
  // What is built by now was planned as well, when its marks were issued.
  for (const { id: site } of listSites(db)) {
    const job = exportJob(db, site)
    for (const wall of job.walls) {
      const log = job.log.filter(entry => entry.wall === wall.id)
      const [issued] = ofKind(log, 'issued')
      if (!issued || ofKind(log, 'signed').length === 0) continue
      const { at } = issued
      const { work, stops, samples } = wallState({ ...job, walls: [wall], log: log.filter(entry => entry.at <= at) })
      plan(
        [{ site, id: wall.id, name: wall.name, work, stops: stops.length, issued: true }],
        samples,
        new Date(at).toISOString(),
      )
    }
  }
  const walls = listWalls(db, () => () => true, { work: true })
  plan(
    walls.map(({ site, id, name, state, work }) => ({
      site,
      id,
      name,
      stops: state!.stops.length,
      issued: state!.revision !== undefined,
      work: work!.work,
    })),
    walls.flatMap(({ work }) => work!.samples),
    now.toISOString(),
  )
}
