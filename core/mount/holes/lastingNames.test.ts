import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../../tests/fixtures/job'
import { asBuilt, type LogEntry } from '../../log'
import { planWall } from '../../plan'
import { frozenFaults } from '../../revision'
import { freeze } from '../../revision/frozen'
import { storedOf } from '../../revision/stored'

interface Named { id: string, x: number, y: number }
const holesOf = <Of extends Named>(arrays: { positions: { holes?: Of[] }[] }[]): Of[] =>
  arrays.flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes))

/** The example's wall on a board, with what was issued of it so far. */
function issuedTwice(change: (centres: number[]) => number[]) {
  const job = exampleJob()
  const wall = job.walls[0]!
  const centres = Array.from({ length: 11 }, (_, n) => 200 + 600 * n)
  wall.structure.members = centres.map(centre => ({ centre, width: 38 }))
  wall.arrays[0]!.carrier = { kind: 'board', thickness: 18, bolt: { tension: 900, shear: 800 } }
  const first = planWall(wall, job)
  const frozen = freeze(wall, job, asBuilt([], wall), first)
  const entry = { id: 'i1', at: '2026-11-12T09:00:00Z', by: 'Isla', wall: wall.id } as const
  const log: LogEntry[] = [{ ...entry, kind: 'issued', revision: 'A', frozen: frozen.id }]
  const members = change(centres).map(centre => ({ centre, width: 38 }))
  const next = { ...wall, structure: { ...wall.structure, members } }
  const built = asBuilt(log, { ...next, revisions: [storedOf(frozen)] })
  const second = planWall(next, job, built)
  const again = freeze(next, job, built, second, { after: frozen.id })
  return {
    before: holesOf(first.arrays),
    after: holesOf(second.arrays),
    again,
    next,
    job,
    built: { ...built, frozen, entry: log[0]! },
  }
}

describe('two people who issue apart', () => {
  it('never give two holes one name, and each hole that stays keeps the name that it had', () => {
    const { next: wall, job, built } = issuedTwice(centres => centres)
    const revised = (tag: string, columns: number) => {
      const changed = { ...wall, arrays: wall.arrays.map(array => ({ ...array, columns })) }
      const frozen = freeze(changed, job, built, planWall(changed, job, built), { after: built.issued!.id, tag })
      return { frozen, holes: holesOf(frozen.plan.arrays), changed }
    }
    const [mine, theirs] = [revised('aaaaaa', 4), revised('bbbbbb', 5)]
    const stayed = holesOf(built.issued!.arrays.map(({ plates }) => ({ positions: plates })))
    const [news, others] = [mine, theirs].map(({ holes }) =>
      holes.filter(({ id }) => !stayed.some(each => each.id === id)).map(({ id }) => id)) as [string[], string[]]
    expect(news.length).toBeGreaterThan(0)
    expect(news.filter(id => others.includes(id))).toEqual([])
    // By their numbers alone they would be the same.
    expect(others.map(id => id.slice(0, -7))).toEqual(expect.arrayContaining(news.map(id => id.slice(0, -7))))
    expect(mine.holes.length).toBeGreaterThan(stayed.length)
    // Marks and steps name holes as the plates do, and the server finds the very same.
    const marked = new Set(mine.frozen.plan.marking.marks.map(({ id }) => id))
    expect(news.every(id => marked.has(id))).toBe(true)
    const faults = frozenFaults(JSON.parse(JSON.stringify(mine.frozen)), built.frozen)
    expect(faults.filter(({ message }) => !message.startsWith('has a stop'))).toEqual([])
    // Under another letter, after the other's, they are what they were; planned anew they still are.
    const as = (id: string, revision: string, frozen: string): LogEntry =>
      ({ id, at: '2026-11-12T09:00:00Z', by: 'Isla', wall: wall.id, kind: 'issued', revision, frozen })
    const log = [built.entry, as('i2', 'B', theirs.frozen.id), as('i3', 'C', mine.frozen.id)]
    const revisions = [built.frozen, theirs.frozen, mine.frozen].map(storedOf)
    const now = { ...mine.changed, revisions }
    expect(holesOf(planWall(now, job, asBuilt(log, now)).arrays).map(({ id }) => id).sort())
      .toEqual(mine.holes.map(({ id }) => id).sort())
  })

  it('leave its name to a hole that was drilled before anything was issued', () => {
    const job = exampleJob()
    const [wall] = job.walls
    const [hole] = holesOf(planWall(wall!, job).arrays)
    const entry = {
      id: 'h1',
      at: '2026-11-12T09:00:00Z',
      by: 'Odd',
      wall: wall!.id,
      kind: 'hole',
      result: 'hit',
    } as const
    const built = asBuilt([{ ...entry, hole: hole!.id, x: hole!.x, y: hole!.y }], wall!)
    const { plan } = freeze(wall!, job, built, planWall(wall!, job, built), { tag: 'aaaaaa' })
    const ids = holesOf(plan.arrays).map(({ id }) => id)
    expect(ids.filter(id => !id.endsWith('-aaaaaa'))).toEqual([hole!.id])
  })
})

describe('names of holes', () => {
  it('stay with a hole that stays, whatever comes before it in its row', () => {
    const { before, after } = issuedTwice(centres => centres.filter((_, n) => n !== 4))
    expect(before.length).toBeGreaterThan(after.length)
    for (const hole of after) {
      const stayed = before.find(({ x, y }) => Math.hypot(x - hole.x, y - hole.y) < 0.5)
      if (stayed) expect([hole.id, hole.rank]).toEqual([stayed.id, stayed.rank])
    }
    expect(new Set(after.map(({ id }) => id)).size).toBe(after.length)
  })

  it('go to the nearest where one moves, and are new where there was none', () => {
    const moves = (x: number, n: number) => n === 4 ? [x + 12] : n === 6 ? [x, x + 200] : [x]
    const { before, after } = issuedTwice(centres => centres.flatMap(moves))
    const placeOf = (holes: typeof before, id: string) => holes.find(hole => hole.id === id)
    const moved = before.filter(({ x }) => x === 2600)
    expect(moved.length).toBeGreaterThan(0)
    for (const { id, y } of moved) expect(placeOf(after, id)).toMatchObject({ x: 2612, y })
    const added = after.filter(({ x }) => x === 4000)
    const used = new Set(before.map(({ id }) => id))
    for (const { id } of added) expect(used.has(id)).toBe(false)
  })

  it('that are gone are kept with the revision, so that none is used again', () => {
    const { before, after, again } = issuedTwice(centres => centres.filter((_, n) => n !== 4))
    const left = new Set(after.map(({ id }) => id))
    expect(again.names).toEqual(before.map(({ id }) => id).filter(id => !left.has(id)))
  })
})
