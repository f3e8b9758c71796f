import { describe, expect, it } from 'vitest'
import { calledReferences, QUICK_METHODS, readQuickLine } from './quickLine'

const read = (text: string, system: 'metric' | 'imperial' = 'metric', references: string[] = []) =>
  readQuickLine(text, { y: 1500 }, system, calledReferences(references.map(id => ({ id, front: 0, back: 0 }))))
const faults = (text: string, references: string[] = []) =>
  read(text, 'metric', references).faults.map(({ from, to, message }) => [text.slice(from, to), message])

describe('a quick line', () => {
  it('reads a running list in one go', () => {
    expect(read('e 1181 1219, m 1802, p 2402 hit, p 2460 miss, k 2700 dull')).toEqual({
      faults: [],
      readings: [
        { method: 'detector-edge', edge: 'left', x: 1181, y: 1500 },
        { method: 'detector-edge', edge: 'right', x: 1219, y: 1500 },
        { method: 'magnet', x: 1802, y: 1500 },
        { method: 'probe', x: 2402, y: 1500, hit: true },
        { method: 'probe', x: 2460, y: 1500, hit: false },
        { method: 'knock', x: 2700, y: 1500, dull: true },
      ],
    })
  })

  it('takes several places after one letter, answers for those before them, and a knock as dull', () => {
    expect(
      read('p 400 402 hit 440 miss; k 700; k 900 hollow').readings.map(({ x, hit, dull }) => [x, hit ?? dull]),
    ).toEqual([
      [400, true],
      [402, true],
      [440, false],
      [700, true],
      [900, false],
    ])
    expect(read('e 1181 left, e 1219 right').readings.map(({ edge }) => edge)).toEqual(['left', 'right'])
  })

  it('takes a height, and the side by its reference, for what follows', () => {
    const { readings } = read('m 100, @1.2 m, m 200, back jamb, m 300, front, m 400', 'metric', ['jamb', 'hatch'])
    expect(readings.map(({ x, y, side, reference }) => [x, y, side, reference])).toEqual([
      [100, 1500, undefined, undefined],
      [200, 1200, undefined, undefined],
      [300, 1200, 'back', 'jamb'],
      [400, 1200, undefined, undefined],
    ])
    expect(read('back, m 300', 'metric', ['jamb']).readings[0]).toMatchObject({ side: 'back', reference: 'jamb' })
  })

  it.each(QUICK_METHODS)('shows by an example in either unit how to type $name', ({ method, example }) => {
    const [metric, imperial] = [read(example.metric), read(example.imperial, 'imperial')]
    expect([...metric.faults, ...imperial.faults]).toEqual([])
    expect(metric.readings.map(({ x, ...rest }) => rest)).toEqual(imperial.readings.map(({ x, ...rest }) => rest))
    expect(metric.readings[0]).toMatchObject({ method })
    metric.readings.forEach(({ x }, n) => expect(Math.abs(x - imperial.readings[n]!.x)).toBeLessThan(20))
    expect(readQuickLine('m', { y: 1500 }, 'imperial').faults[0]!.message).toBe('Enter a position, as in “m 71"”.')
  })

  it('reads feet, inches and fractions that belong together', () => {
    expect(read('m 72 1/16 80, c 6\' 2 1/2"', 'imperial').readings.map(({ x }) => x / 25.4)).toEqual([
      72.0625, 80, 74.5,
    ])
  })

  it('reads joints of blockwork', () => {
    expect(read('j 1180 head, j 600 bed').readings).toMatchObject([
      { method: 'joint', direction: 'head', x: 1180 },
      { method: 'joint', direction: 'bed' },
    ])
  })

  it.each([
    ['x 100', 'x'],
    ['m', 'm'],
    ['p 2402', '2402'],
    ['m 12oo', '12oo'],
    ['m 100 hit', 'hit'],
    ['e 1181', '1181'],
    ['e 1219 1181', '1181'],
    ['k 700 loud', 'loud'],
    ['@high', '@high'],
    ['p 24oo hit', '24oo'],
    ['@1200 m 4x', '4x'],
  ])('shows which word of “%s” is wrong', (text, word) => {
    expect(faults(text).map(([wrong]) => wrong)).toEqual([word])
    expect(read(text).readings).toEqual([])
  })

  it('wants an answer behind its place', () =>
    expect(faults('p hit 2402').map(([wrong]) => wrong)).toEqual(['hit', '2402']))

  it('takes a height before or after what was read there, for the part and what follows', () => {
    const inches = (text: string) =>
      read(text, 'imperial').readings.map(({ x, y }) => [x, y].map(mm => Math.round((mm / 25.4) * 1000) / 1000))
    expect(inches('@93 p 96 5/8 hit')).toEqual([[96.625, 93]])
    expect(faults('m 4 @12z0').map(([wrong]) => wrong)).toEqual(['@12z0'])
    expect(inches('p 96 5/8 hit @93 1/2, m 12')).toEqual([[96.625, 93.5], [12, 93.5]])
    expect(read('m 100 @1.2 m, k 300, @900 c 400 420').readings.map(({ x, y }) => [x, y])).toEqual([
      [100, 1200],
      [300, 1200],
      [400, 900],
      [420, 900],
    ])
  })

  it('knows a reference by its name, its letter and number, and its id', () => {
    const references = calledReferences([
      { id: 'r1-abc123', front: 1, back: 2 },
      { id: 'r2-xyz987', number: 4, front: 1, back: 2 },
      { id: 'r3-aaa111', name: 'left jamb', front: 1, back: 2 },
    ])
    const by = (text: string) =>
      readQuickLine(`back ${text}, m 300`, { y: 1500 }, 'metric', references).readings[0]?.reference
    expect(['r1', 'r4', 'left jamb', 'r3-aaa111', 'r2'].map(by)).toEqual([
      'r1-abc123',
      'r2-xyz987',
      'r3-aaa111',
      'r3-aaa111',
      undefined,
    ])
  })

  it('asks for a reference before the far side, and for one that there is', () => {
    expect(faults('back, m 300')[0]).toEqual(['back', 'Enter a reference seen from both sides first.'])
    expect(faults('back door, m 300', ['jamb'])[0]).toEqual(['door', 'Name a reference seen from both sides: jamb.'])
  })

  it('shows a place that is off the wall, along or up', () => {
    const { faults, readings } = readQuickLine('m 700, m 9000, @3 m, p 400 hit', { y: 1500 }, 'metric', [], {
      width: 6000,
      height: 2700,
    })
    expect(faults.map(({ from, message }) => [from, message])).toEqual([
      [9, 'This is off the wall; the maximum is 6000 mm.'],
      [15, 'This is off the wall; the maximum is 2700 mm.'],
    ])
    expect(readings.map(({ x, y }) => [x, y])).toEqual([[700, 1500], [400, 1500]])
  })

  it('keeps what is right beside what is wrong', () => {
    const { readings, faults } = read('m 1802, q 5, p 2402 hit')
    expect(readings).toHaveLength(2)
    expect(faults).toMatchObject([{ from: 8, to: 9 }])
  })
})
