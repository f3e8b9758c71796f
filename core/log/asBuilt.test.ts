import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { LogEntry } from '../job'
import { asBuilt, withDrilled } from './asBuilt'
import { exampleWall } from '../../tests/fixtures/job'

const entry = (change: Partial<LogEntry>): LogEntry => ({
  id: 'l1', at: '2026-11-12T09:00:00Z', by: 'Isla Brand', wall: 'w1', kind: 'hole', hole: 'a1-r1c1-top-1', x: 1900, y: 2090.4, result: 'hit', ...change,
})
const entries = fc.array(fc.record({
  id: fc.constantFrom('l1', 'l2', 'l3', 'l4', 'l5', 'l6'), hole: fc.constantFrom('h1', 'h2'), x: fc.constantFrom(100, 100.4, 130), result: fc.constantFrom('hit' as const, 'miss' as const),
  wall: fc.constantFrom('w1', 'w2'),
}).map(entry), { maxLength: 12 })

describe('what stands by the log', () => {
  it('is the last that arrived of each hole, whatever the clocks said', () => {
    const { holes } = asBuilt([
      entry({ id: 'l2', at: '2026-11-12T12:00:00+01:00', result: 'miss' }), entry({ id: 'l1', at: '2030-01-01T00:00:00Z' }),
      entry({ id: 'l3', wall: 'other' }), entry({ id: 'l4', at: '2020-01-01T00:00:00Z', result: 'miss', note: 'void' }),
    ], 'w1')
    expect(holes).toMatchObject([{ hole: 'a1-r1c1-top-1', result: 'miss', note: 'void', entry: 'l4' }])
  })

  it('follows from the order of arrival alone: clocks changed at will and entries sent again change nothing', () => {
    fc.assert(fc.property(entries, fc.array(fc.date({ noInvalidDate: true, min: new Date('1990-01-01'), max: new Date('2090-01-01') }), { minLength: 12, maxLength: 12 }), fc.array(fc.nat(11), { maxLength: 6 }), (log, clocks, again) => {
      const known = asBuilt(log, 'w1').holes.map(({ at: _, ...hole }) => hole)
      const changed = log.map((each, n) => ({ ...each, at: clocks[n]!.toISOString() }))
      for (const n of again) if (changed[n]) changed.push({ ...changed[n], at: '2099-01-01T00:00:00Z' })
      expect(asBuilt(changed, 'w1').holes.map(({ at: _, ...hole }) => hole)).toEqual(known)
    }))
  })

  it('has two holes where one was drilled again beside its first place', () => {
    expect(asBuilt([entry({ result: 'miss' }), entry({ id: 'l2', x: 1935 })], 'w1').holes.map(({ x, result }) => [x, result])).toEqual([[1900, 'miss'], [1935, 'hit']])
  })

  it('makes a reading of every hole that missed, and of no other', () => {
    const wall = withDrilled(exampleWall(), asBuilt([entry({}), entry({ id: 'l2', x: 1935, result: 'miss' })], 'w1'))
    expect(wall.evidence).toEqual([...exampleWall().evidence ?? [], { id: 'drilled-l2', method: 'pilot', hit: false, x: 1935, y: 2090.4, by: 'Isla Brand', at: '2026-11-12T09:00:00Z' }])
    const untouched = exampleWall()
    expect(withDrilled(untouched, asBuilt([entry({})], 'w1'))).toBe(untouched)
  })
})
