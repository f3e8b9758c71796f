import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readJob } from '../job'
import { demoWall } from '../../tests/fixtures/demo'
import { contextOf, planWall } from '../plan'
import { wallState } from './wallState'

describe('the state of a wall', () => {
  const stateOf = (file: string, id: string) => {
    const job = readJob(readFileSync(`demo/${file}.json`, 'utf8'))
    return wallState({
      ...job,
      walls: job.walls.filter(wall => wall.id === id),
      log: job.log.filter(({ wall }) => wall === id),
    })
  }
  it('counts the pulling of cables once where routes share, and one-person routes side by side', () => {
    const { job, wall } = demoWall('holm-point', 'ticket-hall')
    const { routes, works } = planWall(wall, contextOf(job)).wiring
    const pull = stateOf('holm-point', 'ticket-hall').work.find(({ kind }) => kind === 'pull')!
    const [two, one] = [2, 1].map(people =>
      routes.filter(route => route.people === people).reduce((sum, { minutes }) => sum + minutes, 0))
    expect(works.minutes).toBeLessThan(two! + one!)
    expect(pull.people).toBe(2)
    expect(pull.planned).toBeCloseTo((two! + one! / 2) * works.minutes / (two! + one!), 6)
  })

  it('tells how its stages stand, what stops it, and what work is left', () => {
    const hall = stateOf('holm-point', 'ticket-hall')
    expect(hall.stages).toMatchObject({
      arrange: 'settled',
      mark: 'settled',
      hang: 'not started',
      close: 'not started',
    })
    expect(hall.stops).toEqual([])
    expect(hall.work.find(({ kind }) => kind === 'drill')).toMatchObject({
      sort: 'drill wood-stud',
      pieces: 36,
      done: 0,
    })
    expect(hall.needed.find(({ kind }) => kind === 'display')).toEqual({
      kind: 'display',
      model: 'kelda-46n',
      count: 9,
    })
    const cafe = stateOf('holm-point', 'cafe')
    expect(cafe.stages.mount).toBe('stop')
    expect(cafe.stops).toHaveLength(1)
    // One of its two holes is made, so that it was marked out.
    expect(cafe.work.find(({ kind }) => kind === 'mark')).toMatchObject({ pieces: 22, done: 22 })
    expect(cafe.work.find(({ kind }) => kind === 'drill')).toMatchObject({ pieces: 2, done: 1 })
  })
  it('has nothing left once it was signed for, and teaches by its log', () => {
    const lounge = stateOf('ravel-sands', 'lounge')
    expect(lounge.work.every(({ pieces, done }) => done === pieces)).toBe(true)
    expect(lounge.needed).toEqual([])
    expect(lounge.samples.filter(({ kind }) => kind === 'hang').map(({ minutes }) => minutes)).toEqual([
      24, 19, 17, 15.5,
    ])
    expect(lounge.samples.find(({ kind }) => kind === 'plates')).toMatchObject({ pieces: 4, minutes: 64.5 })
    expect(lounge.lessons.truing).toMatchObject([{ closed: true }])
    expect(stateOf('stennick', 'departures-row').lessons.stops).toEqual([{ by: 'hole', minutes: 13 }])
  })
})
