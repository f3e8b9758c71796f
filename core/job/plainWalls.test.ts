import { expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { asBuilt, chained, EMPTY_CHAIN, type LogEntry } from '../log'
import { idFrom } from './plainId'
import { withPlainIds } from './plainWalls'
import { validateJob } from './validate'

it('an id is made of a name, plain and free', () => {
  expect(idFrom('Café, by the counter', 'wall')).toBe('cafe-by-the-counter')
  expect(idFrom('Hall', 'wall', ['hall', 'hall-2'])).toBe('hall-3')
  expect([idFrom('—', 'wall'), idFrom('港', 'site')]).toEqual(['wall', 'site'])
  expect(idFrom('x'.repeat(200), 'wall')).toHaveLength(60)
})

it('a wall that no address can name gets an id of its name, and what its log says of it still holds', () => {
  const job = exampleJob()
  const hole = (id: string): LogEntry => ({
    id,
    at: '2026-11-12T09:00:00Z',
    by: 'Isla',
    wall: 'Ticket hall/2',
    kind: 'hole',
    hole: 'a1-r1c1-top-1',
    x: 1900,
    y: 2090.4,
    result: id === 'l1' ? 'hit' : 'miss',
  })
  job.walls[0]!.id = 'Ticket hall/2'
  job.walls.push({ ...job.walls[0]!, id: 'ticket-hall' })
  const first = chained(hole('l1'), EMPTY_CHAIN)
  const plain = withPlainIds({ ...job, log: [first, hole('l2')] })
  expect(plain.walls.map(({ id, formerId }) => [id, formerId])).toEqual([
    ['ticket-hall-2', 'Ticket hall/2'],
    ['ticket-hall', undefined],
  ])
  // What has its place in the chain is not changed; what has none names the wall as it is called now.
  expect(plain.log).toEqual([first, { ...hole('l2'), wall: 'ticket-hall-2' }])
  expect(asBuilt(plain.log, plain.walls[0]!).holes.map(({ result }) => result)).toEqual(['miss'])
  expect(asBuilt(plain.log, plain.walls[1]!).holes).toEqual([])
  const correction = {
    id: 'l3',
    at: '2026-11-12T10:00:00Z',
    by: 'Isla',
    wall: 'ticket-hall-2',
    kind: 'correction',
    corrects: 'l1',
    note: 'typed wrong',
  } as const
  expect(validateJob({ ...plain, log: [...plain.log, correction] }).log).toHaveLength(3)
  expect(withPlainIds(plain)).toBe(plain)
})
