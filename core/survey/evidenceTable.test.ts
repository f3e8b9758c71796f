import { expect, it } from 'vitest'
import type { Evidence } from '../job'
import { evidenceToRows, judgeRows, mergeRows } from './evidenceTable'

const kept: Evidence[] = [
  { id: 'e1', method: 'magnet', x: 400, y: 1500 },
  { id: 'e2', method: 'probe', x: 800, y: 1500, hit: true, by: 'Isla Brand', at: '2026-05-11T09:00:00+01:00' },
]
const judge = (rows: Record<string, string>[]) =>
  judgeRows(rows, kept, [{ id: 'jamb', front: 1, back: 2 }], n => `e${3 + n}`)

it('gives rows that come back as the same readings', () => {
  const verdicts = judge(evidenceToRows(kept) as Record<string, string>[])
  expect(verdicts.map(({ becomes }) => becomes)).toEqual(['same', 'same'])
  expect(mergeRows(kept, verdicts)).toEqual(kept)
})

it('adds, changes and refuses, row by row, and says why', () => {
  const verdicts = judge([
    { method: 'knock', x: '1.2 m', y: '1500', dull: 'hollow' },
    { id: 'e1', method: 'magnet', x: '402', y: '1500' },
    { method: 'sonar', x: '5', y: '5' },
    { method: 'probe', x: 'far', y: '5', hit: 'perhaps' },
    { method: 'probe', x: '5', y: '5' },
    { id: 'e1', method: 'magnet', x: '402', y: '1500' },
    { method: 'magnet', x: '5', y: '5', side: 'back', reference: 'hatch' },
  ])
  expect(verdicts.map(({ becomes }) => becomes)).toEqual([
    'added',
    'changed',
    'refused',
    'refused',
    'refused',
    'refused',
    'refused',
  ])
  expect(verdicts[0]!.reading).toEqual({ id: 'e3', method: 'knock', x: 1200, y: 1500, dull: false })
  expect(verdicts.slice(2).map(({ message }) => message)).toEqual([
    expect.stringContaining('method must be one of'),
    expect.stringMatching(/x: “far” is not a length.*hit must be true or false, not “perhaps”/),
    'It must have hit, because its method is probe.',
    'id “e1” appears twice in this table.',
    'reference “hatch” is not on this wall.',
  ])
  expect(mergeRows(kept, verdicts)).toEqual([{ ...kept[0], x: 402 }, kept[1], verdicts[0]!.reading])
})
