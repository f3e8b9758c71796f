import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asBuilt, standing, withDrilled } from './asBuilt'
import type { EntryOf, LogEntry } from './entry'
import { exampleWall } from '../../tests/fixtures/job'

const entry = (change: Partial<EntryOf<'hole'>>): EntryOf<'hole'> => ({
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
})
const entries = fc.array(
  fc
    .record({
      id: fc.constantFrom('l1', 'l2', 'l3', 'l4', 'l5', 'l6'),
      hole: fc.constantFrom('h1', 'h2'),
      x: fc.constantFrom(100, 100.4, 130),
      result: fc.constantFrom('hit' as const, 'miss' as const),
      wall: fc.constantFrom('w1', 'w2'),
    })
    .map(entry),
  { maxLength: 12 },
)

describe('what stands by the log', () => {
  it('is the last that arrived of each hole, whatever the clocks said', () => {
    const { holes } = asBuilt(
      [
        entry({ id: 'l2', at: '2026-11-12T12:00:00+01:00', result: 'miss' }),
        entry({ id: 'l1', at: '2030-01-01T00:00:00Z' }),
        entry({ id: 'l3', wall: 'other' }),
        entry({ id: 'l4', at: '2020-01-01T00:00:00Z', result: 'miss', note: 'void' }),
      ],
      { id: 'w1' },
    )
    expect(holes).toMatchObject([{ hole: 'a1-r1c1-top-1', result: 'miss', note: 'void', entry: 'l4' }])
  })

  it('follows from the order of arrival alone: clocks changed at will and entries sent again change nothing', () => {
    fc.assert(
      fc.property(
        entries,
        fc.array(fc.date({ noInvalidDate: true, min: new Date('1990-01-01'), max: new Date('2090-01-01') }), {
          minLength: 12,
          maxLength: 12,
        }),
        fc.array(fc.nat(11), { maxLength: 6 }),
        (log, clocks, again) => {
          const known = asBuilt(log, { id: 'w1' }).holes.map(({ at: _, ...hole }) => hole)
          const changed = log.map((each, n) => ({ ...each, at: clocks[n]!.toISOString() }))
          for (const n of again) if (changed[n]) changed.push({ ...changed[n], at: '2099-01-01T00:00:00Z' })
          expect(asBuilt(changed, { id: 'w1' }).holes.map(({ at: _, ...hole }) => hole)).toEqual(known)
        },
      ),
    )
  })

  it('has two holes where one was drilled again beside its first place', () => {
    expect(
      asBuilt([entry({ result: 'miss' }), entry({ id: 'l2', x: 1935 })], { id: 'w1' }).holes.map(({ x, result }) => [
        x,
        result,
      ]),
    ).toEqual([
      [1900, 'miss'],
      [1935, 'hit'],
    ])
  })

  it('makes a reading of every hole: one that hit met a stud, one that missed met none', () => {
    const wall = withDrilled(
      exampleWall(),
      asBuilt([entry({}), entry({ id: 'l2', x: 1935, result: 'miss' })], { id: 'w1' }),
    )
    const pilot = (id: string, x: number, hit: boolean) =>
      ({ id, method: 'pilot', hit, x, y: 2090.4, by: 'Isla Brand', at: '2026-11-12T09:00:00Z' })
    expect(wall.evidence).toEqual([pilot('drilled-l1', 1900, true), pilot('drilled-l2', 1935, false)])
    const untouched = exampleWall()
    expect(withDrilled(untouched, asBuilt([entry({ result: 'steel' })], { id: 'w1' }))).toBe(untouched)
  })

  it('tells dead holes from those that hold, screens that hang, and the last reading of each array’s seams', () => {
    const about = { at: '2026-11-12T09:00:00Z', by: 'Isla Brand', wall: 'w1' }
    const log: LogEntry[] = [
      entry({}),
      ...(['miss', 'void', 'steel', 'mortar', 'blown', 'stripped', 'other'] as const).map((result, n) =>
        entry({ id: `d${n}`, hole: `h${n}`, result }),
      ),
      { ...about, id: 's1', kind: 'hung', screen: 'a1-r1c1' },
      { ...about, id: 's2', kind: 'hung', screen: 'a1-r1c1' },
      { ...about, id: 's3', kind: 'hung', screen: 'a1-r1c2' },
      { ...about, id: 'g1', kind: 'seams', array: 'a1', round: 1, gaps: [] },
      {
        ...about,
        id: 'g2',
        kind: 'seams',
        array: 'a1',
        round: 2,
        gaps: [{ between: ['r1c1', 'r1c2'], end: 'top', mm: 1.8 }],
      },
    ]
    const built = asBuilt(log, { id: 'w1' })
    expect([built.holes.length, built.dead.map(({ hole }) => hole)]).toEqual([
      8,
      ['h0', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6'],
    ])
    expect([built.hung, built.seams.map(({ id }) => id)]).toEqual([['a1-r1c1', 'a1-r1c2'], ['g2']])
    // What met a stud or nothing tells of the framing, a stripped hole too; one that only went wrong does not.
    expect(withDrilled(exampleWall(), built).evidence!.map(({ id, hit }) => [id, hit]))
      .toEqual([['drilled-l1', true], ['drilled-d0', false], ['drilled-d1', false], ['drilled-d5', true]])
  })
})

describe('a correction', () => {
  const correction = (id: string, corrects: string): LogEntry => ({
    id,
    at: '2026-11-12T09:00:00Z',
    by: 'Odd',
    wall: 'w1',
    kind: 'correction',
    corrects,
    note: 'the wrong hole',
  })
  const holding = (...log: LogEntry[]) => standing(log, { id: 'w1' }).map(({ id }) => id)

  it('takes an earlier entry out of account, and one that is itself corrected does not', () => {
    expect(holding(entry({}), correction('c1', 'l1'))).toEqual(['c1'])
    expect(asBuilt([entry({}), correction('c1', 'l1')], { id: 'w1' }).holes).toEqual([])
    expect(holding(entry({}), correction('c1', 'l1'), correction('c2', 'c1'))).toEqual(['l1', 'c2'])
    expect(holding(entry({}), correction('c1', 'l1'), correction('c2', 'c1'), correction('c3', 'c2'))).toEqual([
      'c1',
      'c3',
    ])
  })

  it('says nothing of what comes after it, nor of another wall', () => {
    expect(holding(correction('c1', 'l1'), entry({}))).toEqual(['c1', 'l1'])
    expect(holding(entry({}), { ...correction('c1', 'l1'), wall: 'w2' })).toEqual(['l1'])
  })
})

describe('overrides', () => {
  const take = (id: string, subject: string, more: object = {}): LogEntry => ({
    id,
    at: '2026-11-12T09:00:00Z',
    by: 'Isla Brand',
    wall: 'w1',
    kind: 'override',
    code: 'capacity-not-known',
    subject,
    reason: 'Engineer’s letter',
    ...more,
  })
  const end = (id: string, subject: string): LogEntry => ({
    id,
    at: '2026-11-12T09:00:00Z',
    by: 'Odd',
    wall: 'w1',
    kind: 'override-ended',
    code: 'capacity-not-known',
    subject,
  })
  const subjects = (...log: LogEntry[]) =>
    asBuilt(log, { id: 'w1' }).overrides.map(({ subject, reason }) => `${subject}: ${reason}`)

  it('stand until they are ended, the last of each stop, and again when taken on anew', () => {
    expect(subjects(take('o1', 'a1'), take('o2', 'a2'), take('o3', 'a1', { reason: 'Tested' }))).toEqual([
      'a2: Engineer’s letter',
      'a1: Tested',
    ])
    expect(subjects(take('o1', 'a1'), take('o2', 'a2'), end('e1', 'a1'))).toEqual(['a2: Engineer’s letter'])
    expect(subjects(take('o1', 'a1'), end('e1', 'a1'), take('o2', 'a1'))).toEqual(['a1: Engineer’s letter'])
    expect(subjects(end('e1', 'a1'), take('o1', 'a1', { wall: 'w2' }))).toEqual([])
  })
})
