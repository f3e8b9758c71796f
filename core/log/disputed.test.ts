import { describe, expect, it } from 'vitest'
import { asBuilt, standing, withDrilled } from './asBuilt'
import type { EntryOf, LogEntry } from './entry'
import { exampleWall } from '../../tests/fixtures/job'

const entry = (change: Partial<EntryOf<'hole'>>): EntryOf<'hole'> => ({
  id: 'l1', at: '2026-11-12T09:00:00Z', by: 'Isla Brand', wall: 'w1', kind: 'hole', hole: 'a1-r1c1-top-1',
  x: 1900, y: 2090.4, result: 'hit', ...change,
})
const by = (id: string, who: string, result: 'hit' | 'miss' | 'void', more: Partial<EntryOf<'hole'>> = {}) =>
  entry({ id, by: who, result, device: `of ${who}`, ...more })
const told = (...log: LogEntry[]) => {
  const { holes, dead, disputed } = asBuilt(log, { id: 'w1' })
  return {
    holes: holes.map(({ entry }) => entry),
    dead: dead.length,
    disputed: disputed.map(({ results }) => results.map(({ entry }) => entry).sort()),
  }
}
const withdrawn = (id: string, corrects: string): LogEntry => ({
  id,
  at: '2026-11-12T09:00:00Z',
  by: 'Odd',
  wall: 'w1',
  kind: 'correction',
  corrects,
  note: 'looked again',
})

describe('two unlike results of one hole', () => {
  it('are disputed whoever came first, count as neither drilled nor dead, and both stay in the log', () => {
    const [hit, empty] = [by('l1', 'Isla', 'hit'), by('l2', 'Odd', 'void')]
    const disputed = { holes: [], dead: 0, disputed: [['l1', 'l2']] }
    expect([told(hit, empty), told(empty, hit)]).toEqual([disputed, disputed])
    expect(standing([hit, empty], { id: 'w1' })).toHaveLength(2)
    expect(withDrilled(exampleWall(), asBuilt([hit, empty], { id: 'w1' })).evidence).toEqual(exampleWall().evidence)
  })

  it('are disputed too where the same person made them on two devices, or where the level line is turned', () => {
    expect(told(by('l1', 'Isla', 'hit'), by('l2', 'Isla', 'void', { device: 'tablet' })).disputed).toHaveLength(1)
    expect(told(by('l1', 'Isla', 'hit'), by('l2', 'Odd', 'void', { x: 1902, y: 2086 })).disputed).toHaveLength(1)
    expect(told(by('l1', 'Isla', 'miss'), by('l2', 'Odd', 'hit', { x: 1935 }))).toEqual({
      holes: ['l1', 'l2'],
      dead: 1,
      disputed: [],
    })
  })
})

describe('a disputed hole', () => {
  it('are settled by whoever withdraws one, or by a result that names the other; of three each is told', () => {
    const log = [by('l1', 'Isla', 'hit'), by('l2', 'Odd', 'void')]
    expect(told(...log, withdrawn('c1', 'l1'))).toEqual({ holes: ['l2'], dead: 1, disputed: [] })
    expect(told(...log, by('l3', 'Odd', 'hit', { corrects: 'l2' }))).toEqual({ holes: ['l3'], dead: 0, disputed: [] })
    expect(told(...log, by('l3', 'Una', 'miss')).disputed).toEqual([['l1', 'l2', 'l3']])
    expect(told(...log, by('l3', 'Una', 'hit', { corrects: 'l1' })).disputed).toEqual([['l2', 'l3']])
  })

  it('are none where one names the other, both say the same, or one person says it on one device', () => {
    expect(told(by('l1', 'Isla', 'hit'), by('l2', 'Odd', 'void', { corrects: 'l1' }))).toEqual({
      holes: ['l2'],
      dead: 1,
      disputed: [],
    })
    expect(told(by('l2', 'Odd', 'void', { corrects: 'l1' }), by('l1', 'Isla', 'hit'))).toEqual({
      holes: ['l2'],
      dead: 1,
      disputed: [],
    })
    expect(told(by('l1', 'Isla', 'hit'), by('l2', 'Odd', 'hit'))).toEqual({ holes: ['l2'], dead: 0, disputed: [] })
    expect(told(by('l1', 'Isla', 'hit'), by('l2', 'Isla', 'void'))).toEqual({ holes: ['l2'], dead: 1, disputed: [] })
  })

  it('that a server took in before entries named their device stand as they stood: the last holds', () => {
    const old = (id: string, who: string, result: 'hit' | 'void') =>
      entry({ id, by: who, result, receivedAt: '2026-10-01T09:00:00Z' })
    expect(told(old('l1', 'Isla', 'hit'), old('l2', 'Odd', 'void'))).toEqual({ holes: ['l2'], dead: 1, disputed: [] })
    expect(told(old('l1', 'Isla', 'hit'), by('l2', 'Odd', 'void')).disputed).toHaveLength(1)
  })
})

describe('steel', () => {
  it('is looked at once there is an entry about it, and not any more where it is met again', () => {
    const looked: LogEntry = {
      id: 'k1',
      at: '2026-11-12T09:00:00Z',
      by: 'Una',
      wall: 'w1',
      kind: 'checked',
      hole: 'a1-r1c1-top-1',
      found: 'protection plate',
    }
    const steel = entry({ result: 'steel' })
    expect(
      [[steel], [steel, looked], [steel, looked, entry({ id: 'l2', result: 'steel' })]].map(
        log => asBuilt(log, { id: 'w1' }).checked,
      ),
    ).toEqual([[], ['a1-r1c1-top-1'], []])
  })
})

describe('a hang step', () => {
  it('of an earlier version says that its screen hangs, once it is done', () => {
    const step = (id: string, done: boolean): LogEntry => ({
      id,
      at: '2026-11-12T09:00:00Z',
      by: 'Odd',
      wall: 'w1',
      kind: 'step',
      step: 'hang:a1-r1c1',
      done,
    })
    expect([
      asBuilt([step('s1', false)], { id: 'w1' }).hung,
      asBuilt([step('s1', false), step('s2', true)], { id: 'w1' }).hung,
    ]).toEqual([[], ['a1-r1c1']])
  })
})

describe('a hole that was filled and drilled again in its place', () => {
  it('is what the drill met last, and is told of as what it was before', () => {
    const log = [
      by('l1', 'Isla', 'hit'),
      by('l2', 'Isla', 'void', { corrects: 'l1' }),
      by('l3', 'Odd', 'hit', { again: 'l2' }),
    ]
    expect(told(...log)).toEqual({ holes: ['l3'], dead: 0, disputed: [] })
    expect(asBuilt(log, { id: 'w1' }).filled.map(({ entry, result }) => [entry, result])).toEqual([['l2', 'void']])
    // Whoever says otherwise of what was drilled again contradicts it; who withdraws it leaves the hole as it was.
    expect(told(...log, by('l4', 'Una', 'miss')).disputed).toEqual([['l3', 'l4']])
    expect(told(...log, withdrawn('c1', 'l3'))).toEqual({ holes: ['l2'], dead: 1, disputed: [] })
  })
})
