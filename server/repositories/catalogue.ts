import type { HouseCatalogue, Keeping } from '../../core/api/catalogue'
import { and, asc, eq, sql } from 'drizzle-orm'
import {
  KINDS, MODEL_KINDS, modelFaults, modelsOf, nextRevision, sameFigures, SHELVES, type Model, type ModelKind,
} from '../../core/catalogue'
import { remember } from '../../core/memo'
import { LIMITS, same, type Fault } from '../../core/job'
import { models, sites, wallModels, walls } from '../database/schema'
import { atomically } from '../database/atomically'
import { perDatabase, type Database } from '../database/perDatabase'
import { apiError, validationError } from '../utils/apiError'
import { IS_HERE, siteDocument } from './siteRows'
import { addMove, readStock, stockMoves } from './stock'
import type { By } from '../utils/by'

/** Which walls use which models, by kind and id; alternatives count, as they may be chosen. */
function usesOf(db: Database): Map<string, Keeping['usedBy']> {
  const uses = new Map<string, Keeping['usedBy']>()
  const rows = db
    .select({
      kind: wallModels.kind,
      model: wallModels.model,
      wall: walls.id,
      wallName: walls.name,
      site: sites.id,
      siteName: sites.name,
    })
    .from(wallModels)
    .innerJoin(walls, eq(walls.key, wallModels.wall))
    .innerJoin(sites, eq(sites.key, walls.site))
    .orderBy(asc(walls.key))
    .all()
  for (const { kind, model, site, wall, siteName, wallName } of rows) {
    const key = `${kind}/${model}`
    if (!uses.has(key)) uses.set(key, [])
    uses.get(key)!.push({ site, wall, name: `${siteName}, ${wallName}` })
  }
  return uses
}

const OF_ID = and(eq(models.kind, sql.placeholder('kind')), eq(models.id, sql.placeholder('id')))
const modelOfId = perDatabase(db => db.select().from(models).where(OF_ID).prepare())
const insertModel = perDatabase(db =>
  db
    .insert(models)
    .values({
      kind: sql.placeholder('kind'),
      id: sql.placeholder('id'),
      model: sql.placeholder('model'),
      savedAt: sql.placeholder('at'),
      savedBy: sql.placeholder('by'),
    })
    .prepare(),
)
const allModels = perDatabase(db => db.select().from(models).orderBy(asc(models.key)).prepare())

/** Every model of the firm's catalogue with its kind, in the order in which they came. */
export const everyModel = (db: Database): { kind: ModelKind, model: Model & { pack?: number } }[] =>
  allModels(db)
    .all()
    .map(({ kind, model }) => ({ kind: kind as ModelKind, model: model as Model }))

export function readCatalogue(db: Database): HouseCatalogue {
  const [uses, held] = [usesOf(db), heldBySites(db)]
  const house: HouseCatalogue = {
    displays: [],
    mounts: [],
    fasteners: [],
    screwKits: [],
    boxes: [],
    cables: [],
    kept: {},
    stock: readStock(db),
  }
  for (const { kind, id, model, version, savedAt, savedBy } of allModels(db).all()) {
    (house[SHELVES[kind as ModelKind]] as Model[]).push(model as Model)
    house.kept[`${kind}/${id}`] = {
      version,
      savedAt,
      savedBy,
      usedBy: uses.get(`${kind}/${id}`) ?? [],
      held: held.has(`${kind}/${id}`),
    }
  }
  return house
}

/** The models, by kind and id, of which some site holds a copy for its walls. */
function heldBySites(db: Database): Set<string> {
  const catalogues = db.select().from(sites).where(IS_HERE).all().map(row => siteDocument(db, row).catalogue)
  return new Set(
    catalogues.flatMap(catalogue =>
      MODEL_KINDS.flatMap(kind => modelsOf(catalogue, kind).map(({ id }) => `${kind}/${id}`)),
    ),
  )
}

/** Keeps a model that has no faults, within a transaction; `held` are those that sites hold. */
function keepModel(
  db: Database,
  { kind, given }: { kind: ModelKind, given: Model },
  version: unknown,
  { by, at }: By,
  held: () => Set<string>,
): { id: string, version: number } {
  const row = modelOfId(db).get({ kind, id: given.id })
  if (row && version === undefined)
    throw apiError(409, 'model-exists', `The catalogue already has a ${KINDS[kind].name} “${given.id}”.`)
  if (row && version !== row.version)
    throw apiError(
      409,
      'stale',
      `${row.savedBy || 'Another user'} saved this ${KINDS[kind].name} after you opened it.`,
      { current: row.model },
    )
  if (!row) {
    insertModel(db).run({ kind, id: given.id, model: given, at, by })
    return { id: given.id, version: 1 }
  }
  if (!sameFigures(row.model as Model, given) && held().has(`${kind}/${given.id}`)) {
    const id = nextRevision(
      given.id,
      db
        .select({ id: models.id })
        .from(models)
        .where(eq(models.kind, kind))
        .all()
        .map(({ id }) => id),
    )
    insertModel(db).run({ kind, id, model: { ...given, id, supersedes: given.id }, at, by })
    return { id, version: 1 }
  }
  db.update(models)
    .set({ model: given, version: row.version + 1, savedAt: at, savedBy: by })
    .where(eq(models.key, row.key))
    .run()
  return { id: given.id, version: row.version + 1 }
}

/**
 * Keeps a model. New figures of one that a site holds for its walls become a revision of its own,
 * which supersedes it; the walls keep what they have.
 *
 * @param version the kept version that it was made from; absent for a new one
 * @returns the id under which it is kept
 * @throws 409 where a person saved it in between or the id is taken, 422 with every fault
 */
export function saveModel(
  db: Database,
  kind: ModelKind,
  model: unknown,
  version: unknown,
  { by, at }: By,
): { id: string, version: number } {
  const faults = modelFaults(kind, model)
  if (faults.length > 0) throw validationError(faults)
  return db.transaction(
    () => keepModel(db, { kind, given: model as Model }, version, { by, at }, () => heldBySites(db)),
    {
      behavior: 'immediate',
    },
  )
}

/** By whom the models are that ship with the product, until a person saves them as his own. */
export const SAMPLE = 'Sample'

/** Whether a catalogue has no model although it had: a person took them out. */
export const wasEmptied = (db: Database): boolean =>
  allModels(db).all().length === 0 && db.get(sql`SELECT seq FROM sqlite_sequence WHERE name = 'models'`) !== undefined

/**
 * Takes the sample out of the catalogue: the models that shipped with the product, that nobody has saved since and no
 * site holds.
 *
 * @returns how many stay because a site holds them
 */
export function removeSample(db: Database): { removed: number, held: number } {
  return db.transaction(() => {
    const held = heldBySites(db)
    const sample = allModels(db).all().filter(({ savedBy }) => savedBy === SAMPLE)
    const free = sample.filter(({ kind, id }) => !held.has(`${kind}/${id}`))
    for (const { key } of free) db.delete(models).where(eq(models.key, key)).run()
    return { removed: free.length, held: sample.length - free.length }
  }, { behavior: 'immediate' })
}

/** A model without how many of it are in stock, which a table of models may say beside its figures. */
function withoutStock(given: unknown): { model: unknown, count: unknown } {
  if (typeof given !== 'object' || given === null) return { model: given, count: undefined }
  const { stock: count, ...model } = given as Record<string, unknown>
  return { model, count }
}

/**
 * Keeps many models of one kind, all or none: new ones are added, known ones get the new figures. How many of one
 * are in stock, where it says that, is what its ledger begins with.
 *
 * @throws 422 with every fault
 */
export function importModels(
  db: Database,
  kind: ModelKind,
  given: unknown[],
  by: string,
  at: string,
): { id: string }[] {
  if (given.length > LIMITS.models)
    throw validationError([
      { path: '$.models', message: `must have at most ${LIMITS.models} entries, not ${given.length}` },
    ])
  const split = given.map(withoutStock)
  const faults: Fault[] = []
  for (const [n, { model }] of split.entries()) {
    if (faults.length < LIMITS.faults)
      faults.push(
        ...modelFaults(kind, model).map(({ path, message }) => ({
          path: path.replace('$', `$.models[${n}]`),
          message,
        })),
      )
  }
  if (faults.length > 0) throw validationError(faults.slice(0, LIMITS.faults))
  const held = remember(1, () => heldBySites(db))
  return atomically(db, () =>
    split.map(({ model: each, count }) => {
      const model = each as Model
      const row = modelOfId(db).get({ kind, id: model.id })
      const kept = same(row?.model, model)
        ? { id: model.id }
        : keepModel(db, { kind, given: model }, row?.version, { by, at }, held)
      if (count !== undefined && stockMoves(db, kind, kept.id).length === 0)
        addMove(db, { kind, id: kept.id }, { change: count, note: 'Opening stock from the catalogue' }, { by, at })
      return kept
    }),
  )
}
