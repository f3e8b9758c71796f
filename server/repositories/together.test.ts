import { describe, expect, it } from 'vitest'
import type { Wall } from '../../core/job'
import { asBuilt, type EntryOf } from '../../core/log'
import { eachInEmptyFirm } from '../../tests/fixtures/emptyFirm'
import { exampleJob, exampleWall } from '../../tests/fixtures/job'
import { refused } from '../../tests/fixtures/refused'
import type { Author } from '../accounts/authorship'
import type { Database } from '../database/perDatabase'
import { addLogEntry } from './log'
import { importJob } from './importing'
import { exportJob } from './sites'
import { readWall, saveWall } from './walls'

const AT = '2026-11-12T09:00:00Z'
const hole: EntryOf<'hole'> = {
  by: 'isla',
  id: 'l1', at: AT, wall: 'w1', kind: 'hole', hole: 'a1-r1c1-top-1', x: 1900, y: 2090.4, result: 'hit',
}
let db: Database
eachInEmptyFirm((empty) => {
  db = empty
  importJob(db, exampleJob(), 'Isla', AT)
})

const save = (wall: unknown, version: number) =>
  saveWall(db, { siteId: 'holm-point', id: 'w1' }, { wall, version }, { by: 'Odd', at: AT })
const changed = (change: (wall: Wall) => void) => {
  const wall = exampleWall()
  change(wall)
  return wall
}
const entries = () => exportJob(db, 'holm-point').log

describe('what several people add to a wall', () => {
  it('gives numbers to what is new, for good, and answers with the wall as it is kept', () => {
    const reading = (id: string) => ({ id, method: 'magnet' as const, x: 100, y: 1500 })
    const saved = save(
      changed((w) => {
        w.evidence = [reading('e1'), reading('e2-aaaaaa'), reading('e2-bbbbbb')]
      }),
      1,
    )
    expect(saved.wall!.evidence!.map(({ number }) => number)).toEqual([undefined, 2, 3])
    const kept = readWall(db, 'holm-point', 'w1').job.walls[0]!
    expect(kept).toEqual(saved.wall)
    expect(
      save({ ...kept, evidence: [...kept.evidence!, reading('e3-cccccc')] }, 2).wall!.evidence!.at(-1),
    ).toMatchObject({ number: 4 })
    expect(save({ ...readWall(db, 'holm-point', 'w1').job.walls[0]!, width: 6300 }, 3)).not.toHaveProperty('wall')
  })
})

describe('a hole that several people drilled', () => {
  it('lets anyone add a result to a disputed hole, and the people who made one or a lead settle it', () => {
    const by
      = (person: string, action: string[]): Author =>
        (entry, wanted) => ({
          entry: { ...(entry as object), person, by: person },
          verdict: action.includes(wanted) ? 'taken' : 'refused',
          reason: wanted,
        })
    const [isla, odd, lead] = [
      by('isla', ['wall.record']),
      by('odd', ['wall.record']),
      by('una', ['wall.record', 'wall.issue']),
    ]
    const send = (author: Author, entry: object, person = 'odd') =>
      addLogEntry(db, { siteId: 'holm-point', wall: 'w1' }, author, { person, by: person, ...entry }, AT)
    send(isla, hole, 'isla')
    send(odd, { ...hole, id: 'l2', result: 'void' })
    const withdraw = (id: string, corrects: string) => ({
      id,
      at: AT,
      wall: 'w1',
      kind: 'correction',
      corrects,
      note: 'looked again',
    })
    expect(refused(() => send(odd, withdraw('c1', 'l1'))).status).toBe(403)
    expect(send(odd, { ...hole, id: 'l3', result: 'void', corrects: 'l2' })).toMatchObject({ seq: 3 })
    expect(refused(() => send(odd, { ...hole, id: 'l9', corrects: 'gone' })).faults!.map(({ path }) => path)).toEqual(
      ['$.corrects'],
    )
    expect(asBuilt(entries(), { id: 'w1' }).disputed).toMatchObject([{ results: [{ by: 'isla' }, { by: 'odd' }] }])
    // A third of the crew may say what is there, but does not settle it by himself.
    const third = by('jun', ['wall.record'])
    const said = send(third, { ...hole, id: 'l4', corrects: 'l3' }, 'jun')
    expect(said).toMatchObject({ setAside: expect.stringContaining('disputed hole') })
    expect(entries()).toHaveLength(3)
    expect(send(lead, withdraw('c2', 'l1'), 'una')).toMatchObject({ seq: 4 })
    expect(asBuilt(entries(), { id: 'w1' })).toMatchObject({ disputed: [], holes: [{ result: 'void', by: 'odd' }] })
  })
})
