import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readJob, type Job } from '../../job'
import { wallState } from '../wallState'
import { together, type Part } from './parts'

const jobOf = (file: string, id: string): Job => {
  const job = readJob(readFileSync(`demo/${file}.json`, 'utf8'))
  return { ...job, walls: job.walls.filter(wall => wall.id === id), log: job.log.filter(({ wall }) => wall === id) }
}
const counts = (parts: Part[]) =>
  Object.fromEntries(
    together(parts.map(({ kind, model, count }) => ({ kind, model, count })))
      .map(({ kind, model, count }) => [`${kind} ${model}`, count])
      .sort(),
  )
const WALLS = [
  ['holm-point', 'ticket-hall'],
  ['holm-point', 'cafe'],
  ['stennick', 'departures-row'],
  ['ravel-sands', 'arrivals'],
  ['ravel-sands', 'pier'],
  ['ravel-sands', 'lounge'],
] as const

describe('parts', () => {
  it('are needed until they are used: none is lost and none is twice, whatever is done', () => {
    for (const [file, id] of WALLS) {
      const job = jobOf(file, id)
      const [now, first] = [wallState(job), wallState({ ...job, log: job.log.filter(({ kind }) => kind === 'issued') })]
      expect([id, counts([...now.needed, ...now.used])]).toEqual([id, counts(first.needed)])
      expect(first.used).toEqual([])
    }
  })

  it('are used one by one as the log grows, by whoever recorded it', () => {
    const job = jobOf('ravel-sands', 'lounge')
    let before = Infinity
    for (let n = 0; n <= job.log.length; n++) {
      const left = wallState({ ...job, log: job.log.slice(0, n) }).needed.reduce((sum, { count }) => sum + count, 0)
      expect(left).toBeLessThanOrEqual(before)
      before = left
    }
    expect(before).toBe(0)
    const people = new Set(job.log.map(({ by }) => by))
    expect(
      wallState(job).used.every(
        ({ by, at }) => people.has(by) && job.log.some(entry => entry.at.startsWith(at.slice(0, 10))),
      ),
    ).toBe(true)
  })

  it('of cable are reels, used once all that is cut from them is pulled', () => {
    // Nine pieces of 15 m together, from one reel of 25 m.
    const job = jobOf('holm-point', 'ticket-hall')
    const reels = (log: Job['log']) => counts(wallState({ ...job, log }).needed)['cable lyng-3g25']
    expect(reels(job.log)).toBe(1)
    const boxes = job.walls[0]!.boxes!.filter(({ kind }) => kind === 'power').map(({ id }) => id)
    const pulled = boxes.map((box, n) => ({
      id: `p${n}`, at: `2026-12-0${n + 1}T09:00:00Z`, by: 'Odd', wall: 'ticket-hall', kind: 'step' as const,
      step: `cable:to-${box}`, done: true,
    }))
    expect(reels([...job.log, ...pulled.slice(0, 8)])).toBe(1)
    expect(reels([...job.log, ...pulled])).toBeUndefined()
  })

  it('of one model are put together, apart by what they are told apart by', () => {
    const parts = [
      { kind: 'box' as const, model: 'x', count: 2, wall: 'a' },
      { kind: 'box' as const, model: 'x', count: 3, wall: 'b' },
      { kind: 'cable' as const, model: 'x', count: 1, wall: 'a' },
    ]
    expect(together(parts).map(({ kind, count }) => [kind, count])).toEqual([['box', 5], ['cable', 1]])
    expect(together(parts, ({ wall }) => wall)).toEqual(parts)
  })
})
