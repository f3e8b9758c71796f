import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { asBuilt, type LogEntry } from '../log'
import { planWall } from '../plan'
import { freeze } from '../revision/frozen'
import { storedOf } from '../revision/stored'

/** The example's wall on a board, with what was issued of it so far. */
function issuedTwice(change: (centres: number[]) => number[]) {
  const job = exampleJob()
  const wall = job.walls[0]!
  const centres = Array.from({ length: 11 }, (_, n) => 200 + 600 * n)
  wall.structure.members = centres.map(centre => ({ centre, width: 38 }))
  wall.arrays[0]!.carrier = { kind: 'board', thickness: 18, bolt: { tension: 900, shear: 800 } }
  const holesOf = (arrays: ReturnType<typeof planWall>['arrays']) =>
    arrays.flatMap(({ positions }) => positions.flatMap(({ holes = [] }) => holes))
  const first = planWall(wall, job)
  const frozen = freeze(wall, job, asBuilt([], wall), first)
  const entry = { id: 'i1', at: '2026-11-12T09:00:00Z', by: 'Isla', wall: wall.id } as const
  const log: LogEntry[] = [{ ...entry, kind: 'issued', revision: 'A', frozen: frozen.id }]
  const members = change(centres).map(centre => ({ centre, width: 38 }))
  const next = { ...wall, structure: { ...wall.structure, members } }
  const built = asBuilt(log, { ...next, revisions: [storedOf(frozen)] })
  const second = planWall(next, job, built)
  const again = freeze(next, job, built, second, frozen.id)
  return { before: holesOf(first.arrays), after: holesOf(second.arrays), again }
}

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
