import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { words } from '../../units'
import { schedule, whyNotEarlier, type Crew, type Programme, type Task } from '../index'
import { programmeByChance } from './programmeByChance'
import { cases } from '../../../tests/fixtures/soak'

const times = [{ from: 0, to: 10_000 }]
const crew = (id: string, more: Partial<Crew> = {}): Crew => ({
  id,
  name: `Crew ${id}`,
  people: [`${id}1`, `${id}2`],
  skills: ['fitting'],
  times,
  ...more,
})
const task = (id: string, minutes: number, more: Partial<Task> = {}): Task => ({
  id,
  site: 'a',
  wall: id,
  title: words`Task ${id}`,
  minutes,
  people: 1,
  skill: 'fitting',
  noisy: false,
  aid: false,
  splits: false,
  after: [],
  ...more,
})
const programme = (tasks: Task[], more: Partial<Programme> = {}): Programme => ({
  from: 0,
  to: 10_000,
  tasks,
  crews: [crew('one')],
  places: [
    { id: 'a', name: 'Quay', open: times, loud: times },
    { id: 'b', name: 'Pier', open: times, loud: times },
  ],
  fixed: [],
  aids: 1,
  travel: (from, to) => (from === to ? 0 : 60),
  ...more,
})
const waitsOf = (given: Programme, id: string) =>
  whyNotEarlier(given, schedule(given).placed, id)!.waits.map(({ until, why }) => `${until}: ${why.join('')}`)

describe('why a task is not earlier', () => {
  it('is what comes before it, with how long that has to dry', () => {
    expect(
      waitsOf(programme([task('patch', 60), task('paint', 30, { after: [{ task: 'patch', wait: 720 }] })]), 'paint'),
    ).toEqual(['780: “Task patch” is finished, including its wait of 12 h'])
    expect(
      waitsOf(programme([task('drill', 60), task('hang', 30, { after: [{ task: 'drill', wait: 0 }] })]), 'hang'),
    ).toEqual(['60: “Task drill” is finished'])
  })

  it('is its crew, the way from another site included, somebody else at its wall, or the lift aid', () => {
    expect(
      waitsOf(programme([task('x', 100), task('y', 30, { site: 'b', after: [{ task: 'x', wait: 0 }] })]), 'y'),
    ).toEqual(['100: “Task x” is finished', '160: Crew one is free after “Task x”, travel time included'])
    const atOneWall = programme([task('x', 100, { wall: 'w' }), task('y', 30, { wall: 'w' })], {
      crews: [crew('one'), crew('two')],
    })
    expect(
      waitsOf(
        {
          ...atOneWall,
          fixed: [
            { task: 'x', crew: 'one', start: 0 },
            { task: 'y', crew: 'two', start: 100 },
          ],
        },
        'y',
      ),
    ).toEqual(['100: the wall is free after “Task x”', '100: it is pinned at this time'])
    const lifts = programme([task('x', 100, { aid: true }), task('y', 30, { aid: true })], {
      crews: [crew('one'), crew('two')],
    })
    expect(
      waitsOf(
        {
          ...lifts,
          fixed: [
            { task: 'x', crew: 'one', start: 0 },
            { task: 'y', crew: 'two', start: 100 },
          ],
        },
        'y',
      )[0],
    ).toBe('100: the lifting aid is free after “Task x”')
  })

  it('is a site that is closed, a crew that is not at work, hours in which it may not be loud, or windows that are too short', () => {
    const late = (more: Partial<Programme['places'][number]>) => ({
      places: [{ id: 'a', name: 'Quay', open: times, loud: times, ...more }],
    })
    expect(waitsOf(programme([task('x', 30)], late({ open: [{ from: 200, to: 900 }] })), 'x')).toEqual([
      '200: Quay opens',
    ])
    expect(waitsOf(programme([task('x', 30, { noisy: true })], late({ loud: [{ from: 300, to: 900 }] })), 'x')).toEqual(
      ['300: noisy work is allowed at Quay'],
    )
    expect(
      waitsOf(programme([task('x', 30)], { crews: [crew('one', { times: [{ from: 400, to: 900 }] })] }), 'x'),
    ).toEqual(['400: the crew’s working hours start'])
    expect(
      waitsOf(
        programme([task('x', 30)], {
          ...late({
            open: [
              { from: 0, to: 20 },
              { from: 500, to: 900 },
            ],
          }),
          crews: [
            crew('one', {
              times: [
                { from: 0, to: 20 },
                { from: 500, to: 900 },
              ],
            }),
          ],
        }),
        'x',
      ),
    ).toEqual(['500: Quay opens'])
  })

  it('tells of other crews only those that could do it, and when', () => {
    const given = programme([task('x', 100), task('y', 30)], {
      crews: [crew('one'), crew('two', { times: [{ from: 500, to: 900 }] }), crew('paint', { skills: ['decorating'] })],
    })
    expect(
      whyNotEarlier({ ...given, fixed: [{ task: 'x', crew: 'one', start: 0 }] }, schedule(given).placed, 'y')!.others,
    ).toEqual([{ crew: 'two', start: 500 }])
    expect(whyNotEarlier(given, [], 'y')).toBeUndefined()
  })

  it('ends at the moment at which the task begins, of any task of any schedule', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 100_000 }),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 1, max: 6 }),
        (seed, walls, tasksEach) => {
          const given = programmeByChance(seed, { walls, tasksEach, crews: 3, sites: 2 })
          const { placed } = schedule(given)
          for (const { task: id, start } of placed) {
            const moments = whyNotEarlier(given, placed, id)!.waits.map(({ until }) => until)
            expect(moments).toEqual([...moments].sort((a, b) => a - b))
            // What nothing stands in the way of begins at once.
            expect(moments.at(-1) ?? given.from).toBe(start)
          }
        },
      ),
      { numRuns: cases(6) },
    )
  })
})
