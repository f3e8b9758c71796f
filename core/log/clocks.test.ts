import { describe, expect, it } from 'vitest'
import { logEntryFaults, validateJob, type LogEntry } from '../job'
import { isMoment } from '../job/moment'
import { textToString } from '../units'
import { exampleJob } from '../../tests/fixtures/job'
import { asBuilt } from './asBuilt'
import { chained, EMPTY_CHAIN } from './chain'
import { clockOff } from './clocks'

const entry = (change: Record<string, unknown> = {}): LogEntry =>
  ({
    id: 'l1',
    at: '2026-11-12T09:00:00Z',
    by: 'Isla Brand',
    wall: 'w1',
    kind: 'hole',
    hole: 'a1-r1c1-top-1',
    x: 1900,
    y: 2090.4,
    result: 'hit',
    ...change,
  }) as LogEntry

describe('a clock', () => {
  it.each(['2026-02-28T09:00:00Z', '2028-02-29T23:59:59.999+13:45', '2026-11-12T09:00-05:00'])('can show %s', at =>
    expect(isMoment(at)).toBe(true),
  )
  it.each([
    '2026-99-99T00:00:00Z',
    '2026-02-29T09:00:00Z',
    '2026-04-31T09:00:00Z',
    '2026-11-12T24:00:00Z',
    '2026-11-12T09:60:00Z',
    '1999-12-31T23:00:00Z',
    '2101-01-01T00:00:00Z',
    '2026-11-12T09:00:00+15:00',
    '2026-11-12T09:00:00',
    '2026-11-12',
  ])('cannot show %s', (at) => {
    expect(isMoment(at)).toBe(false)
    expect(logEntryFaults(entry({ at })).map(({ path }) => path)).toEqual(['$.at'])
  })

  it('that showed what cannot be stays in a chain that has it, as nothing in a log is changed', () => {
    const old = chained(entry({ at: '2026-99-99T00:00:00Z' }), EMPTY_CHAIN, '2026-06-01T09:00:00Z')
    expect(validateJob({ ...exampleJob(), log: [old] }).log).toEqual([old])
    expect(() => validateJob({ ...exampleJob(), log: [entry({ at: '2026-99-99T00:00:00Z' })] })).toThrow(
      '$.log[0].at is not a valid date and time',
    )
    expect(clockOff(old)).toBe(Infinity)
  })

  it('is off where it was ahead of the server’s, or began anew; being late tells nothing', () => {
    const off = (at: string) => clockOff({ at, receivedAt: '2026-11-12T09:00:00Z' })
    expect(['2026-11-12T08:00:00-01:00', '2026-11-12T09:14:00Z', '2025-01-01T00:00:00Z'].map(off)).toEqual([0, 0, 0])
    expect([off('2026-11-12T10:00:00Z'), Math.round(off('2000-01-01T00:00:00Z') / 8766)]).toEqual([1, -27])
    expect(clockOff({ at: '2090-01-01T00:00:00Z' })).toBe(0)
  })

  it('that is far off is told once for each person, and hides nothing that came later', () => {
    const log = [
      entry({ at: '2027-11-12T09:00:00Z' }),
      entry({ id: 'l2', at: '2026-11-12T09:30:00Z', result: 'miss' }),
      entry({ id: 'l3', by: 'Odd', at: '2026-11-12T13:00:00Z', hole: 'a1-r1c1-top-2' }),
    ].map(each => ({ ...each, receivedAt: '2026-11-12T09:31:00Z' }))
    const { holes, findings } = asBuilt(log, { id: 'w1' })
    expect(holes.find(({ hole }) => hole.endsWith('top-1'))!.result).toBe('miss')
    expect(findings.map(({ message }) => textToString(message, 'metric').split(' arrived')[0])).toEqual([
      'The clock of Isla Brand’s device was ahead by 365 days when an entry of the log',
      'The clock of Odd’s device was ahead by 3.5 hours when an entry of the log',
    ])
    expect(asBuilt(log, { id: 'w2' }).findings).toEqual([])
  })
})

it('an entry has little under keys that nobody knows, and what it has is kept', () => {
  const known = entry({ 'x-drill': 'battery 3' })
  expect([
    logEntryFaults(known),
    logEntryFaults(entry({ a: 'y'.repeat(1_500), b: 'z'.repeat(1_500) })).map(({ path }) => path),
  ]).toEqual([[], ['$.a']])
  expect(chained(known, EMPTY_CHAIN)).toMatchObject({ 'x-drill': 'battery 3' })
})
