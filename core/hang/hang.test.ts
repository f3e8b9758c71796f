import { expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import type { LogEntry } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'
import { drilledHoles, hangFindings, holeSteps } from './index'

const job = exampleJob()
const { arrays } = planWall(job.walls[0]!, job)
const entry = (change: Partial<LogEntry>): LogEntry => ({
  id: 'l1', at: '2026-11-12T09:00:00Z', by: 'Isla Brandt', wall: 'w1', kind: 'hole', hole: 'a1-r1c1-top-1', x: 1900, y: 2090.4, result: 'hit', ...change,
})

it('drills along each height from the top down, left to right', () => {
  const steps = holeSteps(arrays)
  expect(steps).toHaveLength(24)
  expect(steps.slice(0, 7).map(({ label }) => label)).toEqual(['R1 C1 top 1', 'R1 C1 top 2', 'R1 C2 top 1', 'R1 C2 top 2', 'R1 C3 top 1', 'R1 C3 top 2', 'R1 C1 bottom 1'])
})

it('goes by the newest entry of a hole on this wall, whatever the order they came in', () => {
  const drilled = drilledHoles([
    entry({ id: 'l2', at: '2026-11-12T12:00:00+01:00', result: 'miss' }),
    entry({ id: 'l1', at: '2026-11-12T10:30:00Z' }),
    entry({ id: 'l3', at: '2026-11-12T13:00:00Z', wall: 'other', result: 'hit' }),
    entry({ id: 'l4', at: '2026-11-12T11:15:00Z', result: 'miss', note: 'void' }),
  ], 'w1')
  expect([...drilled.values()].map(({ result, note }) => [result, note])).toEqual([['miss', 'void']])
})

it('stops at a miss and warns when the plan has left a hole behind', () => {
  const told = (change: Partial<LogEntry>) => hangFindings(arrays, drilledHoles([entry(change)], 'w1')).map(({ code, message }) => [code, textToString(message, 'metric')])
  expect(told({})).toEqual([])
  expect(told({ result: 'miss', note: 'board only' })).toEqual([['hole-missed', 'R1 C1 top 1 at 1900 missed: board only.']])
  expect(told({ x: 1888 })).toEqual([['hole-left-behind', 'R1 C1 top 1 was drilled 12 away from where the plan now puts it.']])
})
