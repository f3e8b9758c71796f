import type { StockCounts } from '../../core/api/catalogue'
import { and, asc, eq, min, sum } from 'drizzle-orm'
import type { ModelKind } from '../../core/catalogue'
import { PLAIN_ID, type Fault } from '../../core/job'
import { atomically } from '../database/atomically'
import type { Database } from '../database/perDatabase'
import { models, stock } from '../database/schema'
import { notFound, validationError } from '../utils/apiError'
import type { By } from '../utils/by'

export function readStock(db: Database): StockCounts {
  const rows = db
    .select({ kind: stock.kind, model: stock.model, count: sum(stock.change).mapWith(Number) })
    .from(stock)
    .groupBy(stock.kind, stock.model)
    .all()
  return Object.fromEntries(rows.map(({ kind, model, count }) => [`${kind}/${model}`, count]))
}

/** How many of a model there are at a place by the ledger, and since when it is counted there. */
export interface StockAtPlace { kind: ModelKind, model: string, place: string, count: number, since: string }

export const stockByPlace = (db: Database): StockAtPlace[] =>
  db
    .select({
      kind: stock.kind,
      model: stock.model,
      place: stock.place,
      count: sum(stock.change).mapWith(Number),
      since: min(stock.at).mapWith(String),
    })
    .from(stock)
    .groupBy(stock.kind, stock.model, stock.place)
    .orderBy(asc(stock.kind), asc(stock.model))
    .all() as StockAtPlace[]

/** One line of the ledger. */
export interface StockMove { change: number, at: string, by: string, note: string | null }

/** What came and went of a model, everywhere or at one place, in order. */
export const stockMoves = (db: Database, kind: ModelKind, id: string, place?: string): StockMove[] =>
  db
    .select({ change: stock.change, at: stock.at, by: stock.by, note: stock.note })
    .from(stock)
    .where(and(eq(stock.kind, kind), eq(stock.model, id), ...(place === undefined ? [] : [eq(stock.place, place)])))
    .orderBy(asc(stock.key))
    .all()

const MOST = 1_000_000

function faultsOf(change: unknown, note: unknown, have: number): Fault[] {
  const isWhole = typeof change === 'number' && Number.isInteger(change) && Math.abs(change) <= MOST
  return [
    ...(isWhole ? [] : [{ path: '$.change', message: 'must be a whole number' }]),
    ...(isWhole && have + change < 0
      ? [{ path: '$.change', message: `would leave less than 0: in stock ${have}` }]
      : []),
    ...(note === undefined || (typeof note === 'string' && note.length <= 2_000)
      ? []
      : [{ path: '$.note', message: 'must be text of at most 2000 characters' }]),
  ]
}

/**
 * Notes that so many of a model came, or went, within whatever is kept with it.
 *
 * @returns how many there are now
 * @throws 404 for a model that the catalogue does not have, 422 with every fault
 */
export function addMove(
  db: Database,
  { kind, id }: { kind: ModelKind, id: string },
  { change, note, place = 'store' }: { change: unknown, note?: unknown, place?: unknown },
  { by, at }: By,
): number {
  if (
    !db
      .select({ key: models.key })
      .from(models)
      .where(and(eq(models.kind, kind), eq(models.id, id)))
      .get()
  )
    throw notFound('this model in the catalogue')
  if (typeof place !== 'string' || !PLAIN_ID.test(place))
    throw validationError([{ path: '$.place', message: 'must be the store or the van of a crew' }])
  const [all, have] = [stockMoves(db, kind, id), stockMoves(db, kind, id, place)].map(moves =>
    moves.reduce((sum, { change }) => sum + change, 0),
  ) as [number, number]
  const faults = faultsOf(change, note, have)
  if (faults.length > 0) throw validationError(faults)
  db.insert(stock)
    .values({
      kind,
      model: id,
      place,
      change: change as number,
      at,
      by,
      ...(note !== undefined && { note: note as string }),
    })
    .run()
  return all + (change as number)
}

/** Notes by itself that so many of a model came, or went. @throws as `addMove` */
export const moveStock = (...move: Parameters<typeof addMove>): number => atomically(move[0], () => addMove(...move))

/**
 * Moves so many of a model from one place to another, whole or not at all. @throws as `addMove`, and 422 for a number
 * that is not above none
 */
export function moveStockTo(
  db: Database,
  { kind, id }: { kind: ModelKind, id: string },
  { count, note, place, to }: { count: unknown, note?: unknown, place: unknown, to: unknown },
  { by, at }: By,
): number {
  if (typeof count !== 'number' || count <= 0)
    throw validationError([{ path: '$.change', message: 'must be more than 0 for a transfer' }])
  return atomically(db, () => {
    addMove(db, { kind, id }, { change: -count, note, place }, { by, at })
    return addMove(db, { kind, id }, { change: count, note, place: to }, { by, at })
  })
}
