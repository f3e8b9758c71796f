import { describe, expect, it } from 'vitest'
import type { Source, Wall } from '../../job'
import { carriesOf, inChain, portsOf } from './ports'

const screen = (row: number, column: number, pitch = { x: 1000, y: 600 }) => ({
  id: `r${row}c${column}`,
  row,
  column,
  outer: { x: column * pitch.x, y: -row * pitch.y, width: 900, height: 500 },
})
const grid = (rows: number, columns: number, pitch?: { x: number, y: number }) =>
  Array.from({ length: rows * columns }, (_, n) => screen(1 + Math.floor(n / columns), 1 + (n % columns), pitch))
const ported = (sources: Source[], screens = grid(2, 3), loop = true) =>
  portsOf({ sources } as Wall, screens, loop ? [{ kind: 'loop' }] : [])
const told = ({ links }: ReturnType<typeof ported>) =>
  links.map(({ port, from, to, kind }) => `${port} ${from ?? ''}>${to} ${kind}`)

describe('what a link brings', () => {
  it('is counted once a screen, whatever it runs over', () => {
    const both: Source[] = [
      { id: 'p', kind: 'player', carries: 'picture-extender', ports: 4 },
      { id: 'q', kind: 'player', carries: 'picture' },
      { id: 'n', kind: 'network', carries: 'data', for: ['r1c1'] },
    ]
    expect(ported(both).links.map(({ id, kind }) => `${id} ${kind}`)).toEqual([
      ...['r1c1', 'r1c2', 'r1c3', 'r2c1'].map(to => `picture-extender-${to} data`),
      'picture-r2c2 picture', 'picture-r2c3 picture', 'data-r1c1 data',
    ])
    expect(ported(both).unported).toEqual([])
  })
})

describe('a chain', () => {
  it('goes to and fro by whichever has the shorter longest hop', () => {
    const hops = (list: ReturnType<typeof grid>) =>
      list
        .slice(1)
        .map((each, n) => Math.abs(each.outer.x - list[n]!.outer.x) + Math.abs(each.outer.y - list[n]!.outer.y))
    const wide = inChain(grid(2, 3))
    // Both have a hop of a column; column by column only two of five are so long.
    expect(wide.map(({ id }) => id)).toEqual(['r1c1', 'r2c1', 'r2c2', 'r1c2', 'r1c3', 'r2c3'])
    expect([Math.max(...hops(wide)), hops(wide).reduce((sum, hop) => sum + hop, 0)]).toEqual([1000, 3 * 600 + 2 * 1000])
    expect(inChain(grid(2, 3, { x: 500, y: 900 })).map(({ id }) => id)).toEqual([
      'r1c1',
      'r1c2',
      'r1c3',
      'r2c3',
      'r2c2',
      'r2c1',
    ])
    for (const list of [wide, inChain(grid(5, 4))]) expect(new Set(list.map(({ id }) => id)).size).toBe(list.length)
  })

  it('is shared out among the ports: one cable in, leads made for it from screen to screen', () => {
    expect(told(ported([{ id: 'p', kind: 'player', by: 'chain', ports: 3 }]))).toEqual([
      '1 >r1c1 picture',
      '1 r1c1>r2c1 loop',
      '2 >r2c2 picture',
      '2 r2c2>r1c2 loop',
      '3 >r1c3 picture',
      '3 r1c3>r2c3 loop',
    ])
    expect(told(ported([{ id: 'p', kind: 'player', by: 'chain' }], grid(1, 2), false))).toEqual([
      '1 >r1c1 picture',
      '1 r1c1>r1c2 picture',
    ])
  })
})

describe('a port each', () => {
  it('feeds screens in the order of the wall, and a second player those that the first has no port for', () => {
    const both = ported([{ id: 'a', kind: 'player', ports: 4 }, { id: 'b', kind: 'player', ports: 4 }])
    expect(both.links.map(({ source, port, to }) => `${source.id}${port} ${to}`)).toEqual([
      'a1 r1c1',
      'a2 r1c2',
      'a3 r1c3',
      'a4 r2c1',
      'b1 r2c2',
      'b2 r2c3',
    ])
    expect(both.unported).toEqual([])
  })

  it('is told where there are too few', () => {
    expect(ported([{ id: 'a', kind: 'player', ports: 4 }]).unported).toMatchObject([
      { source: { id: 'a' }, screens: ['r2c2', 'r2c3'] },
    ])
  })

  it('feeds the screens that it is said to, and data beside pictures', () => {
    const { links } = ported([
      { id: 'a', kind: 'player', for: ['r2c3'] },
      { id: 'n', kind: 'network', for: ['r1c1', 'r2c3'] },
    ])
    expect(links.map(({ id, source, to }) => [id, source.id, to])).toEqual([
      ['picture-r2c3', 'a', 'r2c3'],
      ['data-r1c1', 'n', 'r1c1'],
      ['data-r2c3', 'n', 'r2c3'],
    ])
    expect([
      carriesOf({ id: 'x', kind: 'network', carries: 'fibre' }, []),
      carriesOf({ id: 'x', kind: 'player' }, []),
      carriesOf({ id: 'x', kind: 'player' }, [{ kind: 'power' }, { kind: 'cat6' }, { kind: 'video' }]),
      carriesOf({ id: 'x', kind: 'network' }, [{ kind: 'power' }, { kind: 'cat6' }]),
    ]).toEqual(['fibre', 'picture', 'video', 'cat6'])
  })

  it('is none of a circuit’s', () => expect(ported([{ id: 'c', kind: 'circuit' }]).links).toEqual([]))
})
