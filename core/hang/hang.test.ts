import { expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { asBuilt, type EntryOf } from '../log'
import { planWall } from '../plan'
import { textToString } from '../units'
import { drilledHoles, hangFindings, holeSteps, leftBehind } from './index'

const job = exampleJob()
const { arrays } = planWall(job.walls[0]!, job)
const entry = (change: Partial<EntryOf<'hole'>>): EntryOf<'hole'> => ({
  id: 'l1', at: '2026-11-12T09:00:00Z', by: 'Isla Brandt', wall: 'w1', kind: 'hole', hole: 'a1-r1c1-top-1', x: 1900, y: 2090.4, result: 'hit', ...change,
})

it('drills along each height from the top down, left to right', () => {
  const steps = holeSteps(arrays)
  expect(steps).toHaveLength(24)
  expect(steps.slice(0, 7).map(({ label }) => label)).toEqual(['R1 C1 top 1', 'R1 C1 top 2', 'R1 C2 top 1', 'R1 C2 top 2', 'R1 C3 top 1', 'R1 C3 top 2', 'R1 C1 bottom 1'])
})

it('knows a hole as made where the plan has it, and nowhere else', () => {
  const drilled = drilledHoles(arrays, asBuilt([entry({}), entry({ id: 'l2', hole: 'a1-r1c1-top-2', x: 1000 })], { id: 'w1' }))
  expect([...drilled].map(([id, { result }]) => [id, result])).toEqual([['a1-r1c1-top-1', 'hit']])
})

it('tells the holes that nothing planned is made of', () => {
  const built = asBuilt([entry({}), entry({ id: 'l2', hole: 'a1-r1c1-top-2', x: 1000 }), entry({ id: 'l3', x: 1950, result: 'miss' })], { id: 'w1' })
  expect(leftBehind(arrays, built).map(({ entry }) => entry)).toEqual(['l3', 'l2'])
})

it('stops at a miss while anything is planned beside it, and tells of holes that nothing uses', () => {
  const told = (change: Partial<EntryOf<'hole'>>) => hangFindings(arrays, asBuilt([entry(change)], { id: 'w1' })).map(({ severity, code, message }) => [severity, code, textToString(message, 'metric')])
  expect(told({})).toEqual([])
  expect(told({ result: 'miss', note: 'board only' })).toEqual([['stop', 'hole-missed', 'R1 C1 top 1 at 1900 mm missed: board only.']])
  expect(told({ result: 'miss', x: 1925 })).toEqual([['stop', 'hole-missed', 'R1 C1 top 1 at 1925 mm missed: no note.']])
  expect(told({ result: 'miss', x: 1935 })).toEqual([['note', 'hole-dead', 'R1 C1 top 1 at 1935 mm missed: no note.']])
  expect(told({ hole: 'a9-r1c1-top-1' })).toEqual([['stop', 'hole-unused', 'The hole drilled at 1900 mm, 2090.4 mm above floor is no longer in the plan.']])
  expect(told({ x: 1888 })).toEqual([['stop', 'hole-unused', 'R1 C1 top 1 was drilled at 1888 mm, 2090.4 mm above floor, 12 mm from its planned position.']])
  expect(told({ x: 1860 })).toEqual([['caution', 'hole-unused', 'R1 C1 top 1 was drilled at 1860 mm, 2090.4 mm above floor, 40 mm from its planned position.']])
})
