import { describe, expect, it } from 'vitest'
import { words } from '../../units'
import { lowerBound, overBound, type Crew, type Programme, type Task } from '../index'

const times = [{ from: 0, to: 100_000 }]
const crew = (id: string, skills: Crew['skills'] = ['fitting']): Crew => ({
  id,
  name: id,
  people: [id, `${id}2`],
  skills,
  times,
})
const task = (id: string, minutes: number, more: Partial<Task> = {}): Task => ({
  id,
  site: 'a',
  wall: id,
  title: words`${id}`,
  minutes,
  people: 1,
  skill: 'fitting',
  noisy: false,
  aid: false,
  splits: true,
  after: [],
  ...more,
})
const programme = (tasks: Task[], more: Partial<Programme> = {}): Programme => ({
  from: 0,
  to: 100_000,
  tasks,
  crews: [crew('one'), crew('two')],
  places: [{ id: 'a', name: 'A', open: times, loud: times }],
  fixed: [],
  aids: 1,
  travel: () => 0,
  ...more,
})

describe('the bound', () => {
  it('is the longest chain with its waits', () => {
    expect(
      lowerBound(programme([task('x', 60), task('y', 30, { after: [{ task: 'x', wait: 720 }] }), task('z', 100)])),
    ).toMatchObject({ finish: 810, by: 'chain' })
  })
  it('is the work at one wall, as one crew works at it at a time', () => {
    expect(
      lowerBound(programme([task('x', 60, { wall: 'w' }), task('y', 50, { wall: 'w' }), task('z', 10)])),
    ).toMatchObject({ finish: 110, by: 'wall' })
  })
  it('is the work that only some crews can do', () => {
    expect(lowerBound(programme([task('x', 60), task('y', 60), task('z', 60)]))).toMatchObject({
      finish: 90,
      by: 'crews',
    })
    const live = [task('x', 60, { skill: 'electrical' }), task('y', 50, { skill: 'electrical' }), task('z', 10)]
    expect(lowerBound(programme(live, { crews: [crew('one'), crew('spark', ['electrical'])] }))).toMatchObject({
      finish: 110,
      by: 'crews',
      why: expect.arrayContaining([expect.stringContaining('spark')]),
    })
  })
  it('is the work at sites that are open alike, in their hours', () => {
    const places = [
      {
        id: 'a',
        name: 'A',
        open: [
          { from: 0, to: 60 },
          { from: 1_440, to: 1_500 },
          { from: 2_880, to: 2_940 },
        ],
        loud: times,
      },
      { id: 'b', name: 'B', open: times, loud: times },
    ]
    expect(
      lowerBound(programme([task('x', 60), task('y', 60), task('z', 60)], { places, crews: [crew('one')] })),
    ).toMatchObject({ finish: 2_940, by: 'crews' })
  })
  it('is the work at sites that are open at unlike hours, with the way between them', () => {
    const day = (from: number) =>
      Array.from({ length: 20 }, (_, n) => ({ from: n * 1_440 + from, to: n * 1_440 + 540 }))
    const places = [{ id: 'a', name: 'A', open: day(0), loud: [] }, { id: 'b', name: 'B', open: day(90), loud: [] }]
    const tasks = [task('x', 990), ...Array.from({ length: 10 }, (_, n) => task(`y${n}`, 450, { site: 'b' }))]
    const found = lowerBound(programme(tasks, { places, crews: [crew('one')], travel: (a, b) => a === b ? 0 : 45 }))
    expect(found.by).toBe('ways')
    expect(found.finish / (10 * 1_440 + 540)).toBeCloseTo(1, 3)
    expect(found.finish).toBeLessThanOrEqual(10 * 1_440 + 540)
  })
  it('is drilling in the hours for it', () => {
    const places = [{ id: 'a', name: 'A', open: times, loud: [{ from: 500, to: 560 }, { from: 1_940, to: 2_000 }] }]
    const found = lowerBound(
      programme([task('x', 60, { noisy: true }), task('y', 60, { noisy: true }), task('z', 60, { noisy: true })], {
        places,
      }),
    )
    expect(found.finish).toBe(1_970)
  })
  it('is lifts by the lift aids there are', () => {
    const lifts = [task('x', 60, { aid: true }), task('y', 60, { aid: true }), task('z', 60, { aid: true })]
    expect(lowerBound(programme(lifts, { crews: [crew('one'), crew('two'), crew('three')] }))).toMatchObject({
      finish: 180,
      by: 'aid',
    })
    expect(lowerBound(programme(lifts, { crews: [crew('one'), crew('two'), crew('three')], aids: 3 })).finish).toBe(60)
  })
  it('leaves out what nobody can do, and is the beginning where there is nothing', () => {
    expect(lowerBound(programme([task('x', 600, { people: 5 }), task('y', 10)])).finish).toBe(10)
    expect(lowerBound(programme([])).finish).toBe(0)
  })
  it('is what a schedule is measured by', () => {
    expect(overBound(110, { finish: 100, by: 'chain', why: [] }, 0)).toBeCloseTo(0.1, 12)
    expect(overBound(0, { finish: 0, by: 'chain', why: [] }, 0)).toBe(0)
  })
})
