import { beforeEach, describe, expect, it } from 'vitest'
import { sql } from 'drizzle-orm'
import { eachInEmptyFirm } from '../../tests/fixtures/emptyFirm'
import { d46, exampleJob, exampleWall, m1 } from '../../tests/fixtures/job'
import { refused } from '../../tests/fixtures/refused'
import type { Database } from '../database/perDatabase'
import { seedCatalogue } from '../demo'
import { importModels, readCatalogue, removeSample, saveModel } from './catalogue'
import { importJob } from './importing'
import { moveStock, moveStockTo, readStock, stockByPlace, stockMoves } from './stock'
import { readWall, saveWall } from './walls'

let db: Database
const AT = '2026-11-12T09:00:00.000Z'
eachInEmptyFirm((empty) => { db = empty })

describe('the firm’s catalogue', () => {
  const display = (change = {}) => ({ ...d46, ...change })
  beforeEach(() => importModels(db, 'display', [d46], 'Isla', AT))

  it('keeps models, and says which walls use them', () => {
    importJob(db, exampleJob(), 'Isla', AT)
    importModels(db, 'mount', [m1, { ...m1, id: 'm2' }], 'Isla', AT)
    const { displays, mounts, kept } = readCatalogue(db)
    expect([displays.length, mounts.length]).toEqual([1, 2])
    expect(kept['display/d46']).toEqual({
      version: 1,
      savedAt: AT,
      savedBy: 'Isla',
      usedBy: [{ site: 'holm-point', wall: 'w1', name: 'Holm Point, Ticket hall' }],
      held: true,
    })
    expect(kept['mount/m2']).toMatchObject({ usedBy: [], held: false })
  })

  it('sets a model right in place while no wall uses it, and after that as a revision', () => {
    expect(saveModel(db, 'display', display({ mass: 22 }), 1, { by: 'Kit', at: AT })).toEqual({ id: 'd46', version: 2 })
    importJob(db, exampleJob(), 'Isla', AT)
    expect(saveModel(db, 'display', display({ mass: 23 }), 2, { by: 'Kit', at: AT })).toEqual({
      id: 'd46.r2',
      version: 1,
    })
    expect(saveModel(db, 'display', display({ mass: 22, retired: true }), 2, { by: 'Kit', at: AT })).toEqual({
      id: 'd46',
      version: 3,
    })
    expect(
      readCatalogue(db).displays.map(({ id, mass, retired, supersedes }) => [id, mass, retired, supersedes]),
    ).toEqual([
      ['d46', 22, true, undefined],
      ['d46.r2', 23, undefined, 'd46'],
    ])
    expect(readWall(db, 'holm-point', 'w1').job.catalogue.displays[0]).toEqual(d46)
  })

  it('refuses what is wrong, stale or taken, and brings in all or none', () => {
    expect(
      refused(() =>
        saveModel(db, 'display', display({ bezel: { top: 1, right: 900, bottom: 1, left: 900 } }), 1, {
          by: 'Kit',
          at: AT,
        }),
      ),
    ).toMatchObject({ status: 422, faults: [{ path: '$.bezel.left' }] })
    expect(refused(() => saveModel(db, 'display', display(), undefined, { by: 'Kit', at: AT }))).toMatchObject({
      status: 409,
      code: 'model-exists',
    })
    expect(refused(() => saveModel(db, 'display', display(), 7, { by: 'Kit', at: AT }))).toMatchObject({
      status: 409,
      code: 'stale',
    })
    expect(
      refused(() =>
        importModels(db, 'display', [display({ id: 'good' }), display({ id: 'bad', mass: -1 })], 'Kit', AT),
      ),
    ).toMatchObject({ status: 422, faults: [{ path: '$.models[1].mass' }] })
    expect(readCatalogue(db).displays).toHaveLength(1)
  })

  it('gives a wall what it takes, and leaves what the site has', () => {
    importJob(db, exampleJob(), 'Isla', AT)
    const wall = exampleWall()
    wall.arrays[0]!.display = 'new'
    const models = { displays: [display({ id: 'new' }), display({ mass: 99 })] }
    expect(
      refused(() => saveWall(db, { siteId: 'holm-point', id: 'w1' }, { wall, version: 1 }, { by: 'Kit', at: AT })),
    ).toMatchObject({ status: 422 })
    // What came along with a save that was refused is not kept, nor taken for kept.
    expect(
      refused(() =>
        saveWall(
          db,
          { siteId: 'holm-point', id: 'w1' },
          { wall: { ...wall, width: -1 }, version: 1, models },
          { by: 'Kit', at: AT },
        ),
      ),
    ).toMatchObject({ status: 422 })
    const save = (more: object) =>
      saveWall(db, { siteId: 'holm-point', id: 'w1' }, { wall, version: 1, ...more }, { by: 'Kit', at: AT })
    expect(refused(() => save({}))).toMatchObject({ status: 422 })
    save({ models })
    expect(readWall(db, 'holm-point', 'w1').job.catalogue.displays.map(({ id, mass }) => [id, mass])).toEqual([
      ['d46', 21.5],
      ['new', 21.5],
    ])
    expect(
      refused(() =>
        saveWall(
          db,
          { siteId: 'holm-point', id: 'w1' },
          { wall, version: 2, models: { displays: [{ id: 'x' }] } },
          { by: 'Kit', at: AT },
        ),
      ),
    ).toMatchObject({
      status: 422,
      faults: expect.arrayContaining([expect.objectContaining({ path: '$.models.displays.name' })]),
    })
    expect(
      refused(() =>
        saveWall(
          db,
          { siteId: 'holm-point', id: 'w1' },
          { wall, version: 2, models: { mounts: 3 } },
          { by: 'Kit', at: AT },
        ),
      ),
    ).toMatchObject({
      status: 422,
    })
  })
})

describe('the stock', () => {
  const lag = exampleJob().catalogue.fasteners[0]!
  const [LAG, ODD] = [{ kind: 'fastener' as const, id: 'lag' }, { by: 'Odd', at: AT }]
  beforeEach(() => void importModels(db, 'fastener', [{ ...lag, stock: 40 }], 'Isla', AT))

  it('begins with what the catalogue says, is no figure of the model, and is the sum of what came and went', () => {
    expect(readCatalogue(db).fasteners).toEqual([lag])
    expect(moveStock(db, LAG, { change: -12, note: 'Ticket hall' }, ODD)).toBe(28)
    expect(moveStock(db, LAG, { change: 100 }, ODD)).toBe(128)
    expect(readCatalogue(db).stock).toEqual({ 'fastener/lag': 128 })
    expect(stockMoves(db, 'fastener', 'lag').map(({ change, by, note }) => [change, by, note])).toEqual([
      [40, 'Isla', 'Opening stock from the catalogue'],
      [-12, 'Odd', 'Ticket hall'],
      [100, 'Odd', null],
    ])
    // A table that is brought in again does not count anew, nor makes a revision of it.
    importModels(db, 'fastener', [{ ...lag, stock: 7 }], 'Isla', AT)
    expect(readCatalogue(db)).toMatchObject({ fasteners: [lag], stock: { 'fastener/lag': 128 } })
  })

  it('is moved from one place to another whole or not at all', () => {
    const at = () => stockByPlace(db).map(({ place, count }) => [place, count])
    expect(moveStockTo(db, LAG, { count: 15, note: 'Store to Van 1', place: 'store', to: 'van-1' }, ODD)).toBe(40)
    expect(at()).toEqual(expect.arrayContaining([['store', 25], ['van-1', 15]]))
    for (const [count, to] of [[26, 'van-1'], [5, 'no such place!'], [-5, 'van-1'], [0, 'van-1'], ['5', 'van-1']]) {
      expect(
        refused(() => moveStockTo(db, LAG, { count, place: 'store', to }, ODD)).status,
        `${count} to ${to}`,
      ).toBe(422)
    }
    expect(at()).toEqual(expect.arrayContaining([['store', 25], ['van-1', 15]]))
    expect(stockMoves(db, 'fastener', 'lag')).toHaveLength(3)
  })

  it('never falls below none, and nothing in its ledger is changed', () => {
    expect(refused(() => moveStock(db, LAG, { change: -41 }, ODD)).faults).toEqual([
      { path: '$.change', message: 'would leave less than 0: in stock 40' },
    ])
    expect(refused(() => moveStock(db, LAG, { change: 1.5, note: 7 }, ODD)).faults!.map(({ path }) => path)).toEqual([
      '$.change',
      '$.note',
    ])
    expect(refused(() => moveStock(db, { ...LAG, id: 'none' }, { change: 1 }, ODD)).status).toBe(404)
    for (const tamper of [sql`UPDATE stock SET change = 1`, sql`DELETE FROM stock`])
      expect(() => db.run(tamper)).toThrow()
    expect(readStock(db)).toEqual({ 'fastener/lag': 40 })
  })
})

describe('the sample that a new firm begins with', () => {
  it('has no stock, is taken out but for what sites hold, and does not come back by itself', () => {
    seedCatalogue(db)
    const shipped = readCatalogue(db)
    expect(shipped.displays.length).toBeGreaterThan(3)
    expect([shipped.stock, new Set(Object.values(shipped.kept).map(({ savedBy }) => savedBy))]).toEqual([
      {},
      new Set(['Sample']),
    ])
    const [own, other] = shipped.displays
    saveModel(db, 'display', { ...own, name: 'Our own' }, 1, { by: 'Isla', at: AT })
    importJob(db, { ...exampleJob(), catalogue: { ...exampleJob().catalogue, displays: [d46, other!] } }, 'Isla', AT)
    expect(removeSample(db).held).toBeGreaterThan(0)
    expect(readCatalogue(db).displays.map(({ name }) => name)).toEqual(['Our own', other!.name])
  })

  it('stays out of a catalogue that was emptied', () => {
    seedCatalogue(db)
    removeSample(db)
    seedCatalogue(db)
    expect(readCatalogue(db).displays).toEqual([])
  })
})
