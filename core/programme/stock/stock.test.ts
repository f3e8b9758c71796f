import { describe, expect, it } from 'vitest'
import { pickList } from './pick'
import { stockLines, type StockOf } from './stock'

const words = (text: unknown[]) => text.join('')

describe('stock', () => {
  const given: StockOf = {
    counted: [
      { kind: 'fastener', model: 'lag', place: 'store', count: 50, since: '2026-11-01T00:00:00Z' },
      { kind: 'fastener', model: 'lag', place: 'one', count: 20, since: '2026-11-01T00:00:00Z' },
    ],
    used: [
      { kind: 'fastener', model: 'lag', count: 12, at: '2026-11-20T00:00:00Z', by: 'A', person: 'a' },
      { kind: 'fastener', model: 'lag', count: 5, at: '2026-11-21T00:00:00Z', by: 'Z', person: 'z' },
      { kind: 'fastener', model: 'lag', count: 99, at: '2026-10-01T00:00:00Z', by: 'A', person: 'a' },
    ],
    reserved: [
      { kind: 'fastener', model: 'lag', count: 36, wall: 'Hall' },
      { kind: 'display', model: 'd', count: 2, wall: 'Hall' },
    ],
    minimums: [{ kind: 'fastener', model: 'lag', least: 30 }],
    vanOf: person => (person === 'a' ? 'one' : undefined),
    packOf: (_, model) => (model === 'lag' ? 25 : undefined),
  }
  it('is what was counted less what the log used since; short is what visits and the minimum want more', () => {
    const [display, lag] = stockLines(given)
    expect(lag).toMatchObject({
      have: 53,
      used: 17,
      places: [
        { place: 'store', count: 45 },
        { place: 'one', count: 8 },
      ],
      reserved: 36,
      least: 30,
      short: 13,
      packs: 1,
    })
    expect(display).toMatchObject({ model: 'd', reserved: 2 })
    // Nobody ever counted it: it is not known, and neither 0 nor short.
    expect(display!.have).toBeUndefined()
    expect(display!.short).toBeUndefined()
  })
  it('can be said to be fewer than none, and is then short by all of it', () => {
    const [line] = stockLines({
      ...given,
      reserved: [],
      minimums: [],
      counted: [{ kind: 'fastener', model: 'lag', place: 'store', count: 3, since: '2026-11-01T00:00:00Z' }],
    })
    expect(line).toMatchObject({ have: -14, short: 14 })
  })
  it('is picked by what is done on the day: screws once each, a drill once for all', () => {
    const kit = [
      { id: 'kit:bit-6', group: 'bits' as const, name: ['Bit 6'], count: 1, spare: 1 },
      { id: 'kit:screws', group: 'fasteners' as const, name: ['Screws'], count: 8, spare: 1 },
      { id: 'kit:lift', group: 'access' as const, name: ['Lift aid'], count: 1, spare: 0 },
      { id: 'kit:tape', group: 'tools' as const, name: ['Tape'], count: 1, spare: 0 },
    ]
    const needed = [
      { kind: 'fastener' as const, model: 'lag', count: 16 },
      { kind: 'display' as const, model: 'd', count: 4 },
    ]
    const list = pickList([{ kinds: ['drill'], needed, kit }, { kinds: ['drill', 'plates'], needed, kit }], 'metric')
    expect(list.parts).toEqual([{ kind: 'fastener', model: 'lag', count: 32 }])
    expect(list.tools.map(({ name, count }) => [words(name), count])).toEqual([
      ['Bit 6', 2],
      ['Lift aid', 1],
      ['Tape', 1],
      ['Screws', 9],
    ])
    expect(pickList([{ kinds: ['hang'], needed, kit }], 'metric').parts).toEqual([
      { kind: 'display', model: 'd', count: 4 },
    ])
  })
})
