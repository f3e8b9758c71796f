import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { asBuilt, type EntryOf } from '../log'
import { planWall } from '../plan'
import { textToString } from '../units'
import {
  disputedFindings, drilledHoles, hangFindings, holeSteps, leftBehind, resultBefore, resultSaid, waitingHoles,
} from './index'

const job = exampleJob()
const { arrays } = planWall(job.walls[0]!, job)
const entry = (change: Partial<EntryOf<'hole'>>): EntryOf<'hole'> => ({
  id: 'l1',
  at: '2026-11-12T09:00:00Z',
  by: 'Isla Brandt',
  wall: 'w1',
  kind: 'hole',
  hole: 'a1-r1c1-top-1',
  x: 1900,
  y: 2090.4,
  result: 'hit',
  ...change,
})

it('drills along each height from the top down, left to right', () => {
  const steps = holeSteps(arrays)
  expect(steps).toHaveLength(24)
  expect(steps.slice(0, 7).map(({ label }) => label)).toEqual([
    'R1 C1 top 1',
    'R1 C1 top 2',
    'R1 C2 top 1',
    'R1 C2 top 2',
    'R1 C3 top 1',
    'R1 C3 top 2',
    'R1 C1 bottom 1',
  ])
})

it('knows a hole as made where the plan has it, and nowhere else', () => {
  const drilled = drilledHoles(
    arrays,
    asBuilt([entry({}), entry({ id: 'l2', hole: 'a1-r1c1-top-2', x: 1000 })], { id: 'w1' }),
  )
  expect([...drilled].map(([id, { result }]) => [id, result])).toEqual([['a1-r1c1-top-1', 'hit']])
})

it('tells the holes that nothing planned is made of', () => {
  const built = asBuilt(
    [entry({}), entry({ id: 'l2', hole: 'a1-r1c1-top-2', x: 1000 }), entry({ id: 'l3', x: 1950, result: 'miss' })],
    { id: 'w1' },
  )
  expect(leftBehind(arrays, built).map(({ entry }) => entry)).toEqual(['l3', 'l2'])
})

it('stops at a miss while anything is planned beside it, and tells of holes that nothing uses', () => {
  const told = (change: Partial<EntryOf<'hole'>>) =>
    hangFindings(arrays, asBuilt([entry(change)], { id: 'w1' })).map(({ severity, code, message }) => [
      severity,
      code,
      textToString(message, 'metric'),
    ])
  expect(told({})).toEqual([])
  expect(told({ result: 'miss', note: 'board only' })).toEqual([
    ['stop', 'hole-missed', 'R1 C1 top 1 at 1900 mm missed: board only.'],
  ])
  expect(told({ result: 'miss', x: 1925 })).toEqual([
    ['stop', 'hole-missed', 'R1 C1 top 1 at 1925 mm missed: no note.'],
  ])
  expect(told({ result: 'miss', x: 1935 })).toEqual([['note', 'hole-dead', 'R1 C1 top 1 at 1935 mm missed: no note.']])
  expect(told({ hole: 'a9-r1c1-top-1' })).toEqual([
    ['stop', 'hole-unused', 'The hole drilled at 1900 mm, 2090.4 mm above floor is no longer in the plan.'],
  ])
  expect(told({ x: 1888 })).toEqual([
    [
      'stop',
      'hole-unused',
      'R1 C1 top 1 was drilled at 1888 mm, 2090.4 mm above floor, 12 mm from its planned position.',
    ],
  ])
  expect(told({ x: 1860 })).toEqual([
    [
      'caution',
      'hole-unused',
      'R1 C1 top 1 was drilled at 1860 mm, 2090.4 mm above floor, 40 mm from its planned position.',
    ],
  ])
})

describe('a disputed hole', () => {
  const [first] = holeSteps(arrays)
  const { id, x, y } = first!.hole
  const disputed = asBuilt(
    [
      entry({ hole: id, x, y }),
      entry({ id: 'l2', hole: id, x, y, by: 'Odd Varga', result: 'void' }),
      entry({ id: 'l3', hole: 'a1-r1c1-top-2', x: 2100 }),
    ],
    { id: 'w1' },
  )

  it('is told with what everybody says, counts as not drilled, and is marked in the plan', () => {
    expect(
      disputedFindings(arrays, disputed).map(({ severity, message }) => [severity, textToString(message, 'metric')]),
    ).toEqual([
      [
        'caution',
        'R1 C1 top 1 is disputed: Isla Brandt recorded hit, Odd Varga recorded void. It counts as not drilled.'
        + ' 1 other result at this plate stands: check it too.',
      ],
    ])
    expect(drilledHoles(arrays, disputed).has(id)).toBe(false)
    const planned = planWall(job.walls[0]!, job, disputed)
    expect(planned.arrays[0]!.positions[0]!.holes!.find(hole => hole.id === id)).toMatchObject({
      disputes: ['l1', 'l2'],
    })
    expect(planned.findings.map(({ code }) => code)).toContain('hole-disputed')
  })

  it('has a result of each person, which a new one of his corrects; a third person joins, and names nobody', () => {
    const before = (by: string, built = disputed) => resultBefore(first!.hole, { by }, built)?.entry
    expect(['Isla Brandt', 'Odd Varga', 'Una Holm'].map(by => before(by))).toEqual(['l1', 'l2', undefined])
    const plain = asBuilt([entry({ hole: id, x, y })], { id: 'w1' })
    expect([
      before('Una Holm', plain),
      before('Una Holm', asBuilt([entry({ hole: id, x: x + 40, y })], { id: 'w1' })),
    ]).toEqual(['l1', undefined])
  })
})

it('records a hit where the plan has it, and what else the drill met where it went in, with what it corrects', () => {
  const hole = { id: 'h1', x: 1000, y: 2000 }
  const turn = { slope: 3, about: { x: 0, y: 2000 }, with: 'f1' }
  expect(resultSaid(hole, 'hit', turn, undefined, { note: ' ' })).toEqual({
    kind: 'hole',
    hole: 'h1',
    x: 1000,
    y: 2000,
    result: 'hit',
  })
  const [before] = asBuilt([entry({})], { id: 'w1' }).holes
  const said = resultSaid(hole, 'miss', turn, before, { note: ' board only ', photo: 'a.png' })
  expect(said).toMatchObject({ result: 'miss', corrects: 'l1', note: 'board only', photo: 'a.png' })
  expect(said.y).toBeCloseTo(2003, 2)
})

it('stops at steel that nobody has looked at, whatever is planned beside it', () => {
  const checked = {
    id: 'k1',
    at: '2026-11-12T09:00:00Z',
    by: 'Una',
    wall: 'w1',
    kind: 'checked',
    hole: 'a1-r1c1-top-1',
    found: 'protection plate',
  } as const
  const codes = (...log: Parameters<typeof asBuilt>[0]) =>
    hangFindings(arrays, asBuilt(log, { id: 'w1' })).map(({ code }) => code)
  expect([
    codes(entry({ x: 1935, result: 'steel' })),
    codes(entry({ x: 1935, result: 'steel' }), checked),
    codes(entry({ result: 'steel' }), checked),
  ]).toEqual([['steel-met'], ['hole-dead'], ['hole-missed']])
})

it('holds back only the plates that a result concerns', () => {
  const nothing = { plates: [], marks: [], added: [], dropped: [], sum: 0 }
  const of = (screen: string) => arrays[0]!.positions.find(({ id }) => id === screen)!.holes!.map(({ id }) => id)
  expect([...waitingHoles(nothing, arrays)]).toEqual([])
  expect([...waitingHoles(nothing, arrays, 'a1-r1c2-top-1')]).toEqual(of('a1-r1c2'))
  const moved = { ...nothing, plates: [{ screen: 'a1-r2c3', dx: 3, dy: 0 }], dropped: ['a1-r1c1-top-1'] }
  expect([...waitingHoles(moved, arrays)].sort()).toEqual([...of('a1-r1c1'), ...of('a1-r2c3')].sort())
})
