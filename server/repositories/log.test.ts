import { beforeEach, describe, expect, it } from 'vitest'
import { sql } from 'drizzle-orm'
import { eachInEmptyFirm } from '../../tests/fixtures/emptyFirm'
import { exampleJob } from '../../tests/fixtures/job'
import { refused } from '../../tests/fixtures/refused'
import type { LogEntry, Wall } from '../../core/job'
import type { EntryOf } from '../../core/log'
import { clientAuthor } from '../accounts/authorship'
import type { Database } from '../database/perDatabase'
import { brokenLink } from '../../core/log'
import { addEntries, addLogEntry } from './log'
import { importJob } from './importing'
import { exportJob } from './sites'
import { readWall, saveWall } from './walls'

let db: Database
const AT = '2026-11-12T09:00:00.000Z'
eachInEmptyFirm((empty) => { db = empty })

const hole: EntryOf<'hole'> = {
  id: 'l1',
  at: AT,
  by: 'Isla',
  wall: 'w1',
  kind: 'hole',
  hole: 'a1-r1c1-top-1',
  x: 1900,
  y: 2090.4,
  result: 'hit',
}

describe('the log', () => {
  beforeEach(() => void importJob(db, exampleJob(), 'Isla', AT))
  const add = (change: Partial<EntryOf<'hole'>> = {}, wall = 'w1') =>
    addLogEntry(db, { siteId: 'holm-point', wall }, clientAuthor, { ...hole, ...change }, AT) as LogEntry
  const entries = () => exportJob(db, 'holm-point').log

  it('is added to, once for each entry however often it is sent, and each follows the one before', () => {
    const first = add()
    expect(add()).toEqual(first)
    expect(addLogEntry(db, { siteId: 'holm-point', wall: 'w1' }, clientAuthor, first, 'later')).toEqual(first)
    add({ id: 'l2', result: 'void' })
    expect(entries().map(({ id, seq, prev }) => [id, seq, prev])).toEqual([['l1', 1, ''], ['l2', 2, first.hash]])
    expect(brokenLink(entries())).toBeUndefined()
  })

  it('gives an entry its place itself, whatever the entry says of that', () => {
    expect(add({ seq: 7, prev: 'x', hash: 'y', receivedAt: '1999-01-01T00:00:00Z' })).toMatchObject({
      seq: 1,
      prev: '',
      receivedAt: AT,
    })
    expect(brokenLink(entries())).toBeUndefined()
  })

  it('changes nothing and loses nothing, even by hand', () => {
    const first = add()
    expect(refused(() => add({ result: 'miss' })).code).toBe('entry-exists')
    for (const tamper of [sql`UPDATE log SET entry = '{}'`, sql`DELETE FROM log`])
      expect(() => db.run(tamper)).toThrow()
    expect(entries()).toEqual([first])
  })

  it('takes many at once, and one that is refused keeps none of the others out', () => {
    const results = addEntries(
      db,
      { siteId: 'holm-point', wall: 'w1' },
      clientAuthor,
      [
        hole,
        null,
        { ...hole, id: 'l2', x: 'far' },
        { ...hole, result: 'miss' },
        { ...hole, id: 'l3', kind: 'dance' },
        { ...hole, id: 'l4' },
      ],
      AT,
    )
    expect(
      results.map(result => [result.id, 'entry' in result ? 'kept' : 'error' in result && result.error.code]),
    ).toEqual([
      ['l1', 'kept'],
      [undefined, 'invalid'],
      ['l2', 'invalid'],
      ['l1', 'entry-exists'],
      ['l3', 'invalid'],
      ['l4', 'kept'],
    ])
    expect(entries().map(({ id, seq }) => [id, seq])).toEqual([['l1', 1], ['l4', 2]])
    expect(refused(() => addEntries(db, { siteId: 'holm-point', wall: 'w7' }, clientAuthor, [], AT)).status).toBe(404)
  })

  it('refuses what is wrong', () => {
    expect(
      refused(() => add({ at: 'yesterday', by: '' }))
        .faults!.map(({ path }) => path)
        .sort(),
    ).toEqual(['$.at', '$.by'])
    expect(refused(() => add({}, 'w7')).status).toBe(404)
    expect(refused(() => add({ wall: 'w2' })).faults).toEqual([
      { path: '$.wall', message: 'must be “w1”, as in the address' },
    ])
    const correction = {
      id: 'c1',
      at: AT,
      by: 'Isla',
      wall: 'w1',
      kind: 'correction',
      corrects: 'l1',
      note: 'typed wrong',
    }
    expect(
      refused(() => addLogEntry(db, { siteId: 'holm-point', wall: 'w1' }, clientAuthor, correction, AT)).faults,
    ).toEqual([{ path: '$.corrects', message: '“l1” is not an earlier entry of this wall' }])
    add()
    expect(addLogEntry(db, { siteId: 'holm-point', wall: 'w1' }, clientAuthor, correction, AT)).toMatchObject({
      seq: 2,
      corrects: 'l1',
    })
    expect(refused(() => add({ id: 'l2', at: '2026-99-99T09:00:00Z' })).faults![0]!.message).toContain(
      'not a valid date and time',
    )
    expect(
      refused(() => add({ 'id': 'l2', 'x-scan': 'a'.repeat(3_000) } as never)).faults!.map(({ path }) => path),
    ).toEqual(['$.x-scan'])
    expect(
      refused(() =>
        importJob(
          db,
          { ...exampleJob(), site: { ...exampleJob().site, id: 'other' }, log: [{ ...hole, wall: 'gone' }] },
          'Isla',
          AT,
        ),
      ).faults!.map(({ path }) => path),
    ).toEqual(['$.log[0].wall'])
  })

  it('takes a hole of any alternative, and of an array that is gone where the log has it; no other', () => {
    add()
    const { job, version } = readWall(db, 'holm-point', 'w1')
    const [array] = job.walls[0]!.arrays
    const wall: Wall = {
      ...job.walls[0]!,
      alternatives: [{ id: 'b', name: 'B' }],
      arrays: [{ ...array!, id: 'a2', alternative: 'b' }],
    }
    saveWall(db, { siteId: 'holm-point', id: 'w1' }, { wall, version }, { by: 'Isla', at: AT })
    expect(add({ id: 'l2', result: 'miss' })).toMatchObject({ seq: 2 })
    expect(add({ id: 'l3', hole: 'a2-r1c1-top-2' })).toMatchObject({ seq: 3 })
    for (const unknown of ['a1-r1c1-top-2', 'a2-r3c1-top-1', 'a2', 'a2-r1c11'])
      expect(refused(() => add({ id: 'l4', hole: unknown })).faults).toMatchObject([
        { path: '$.hole', message: expect.stringContaining('is not a hole in this wall') },
      ])
  })
})
