import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { formatLength, roundLength, type UnitSystem } from './length'
import { parseLength } from './typed'
import { beside, textToString, words } from './text'

const read = (text: string, system: UnitSystem = 'metric') => {
  const reading = parseLength(text, system)
  return reading.ok ? reading.mm : reading.message
}

describe('reading a length', () => {
  it.each([
    ['1830', 1830],
    ['1830 mm', 1830],
    ['183cm', 1830],
    ['1.83 m', 1830],
    ['1,83 m', 1830],
    ['1,830 m', 1830],
    ['0,5', 0.5],
    ['6\'', 1828.8],
    ['6\' 0 1/16"', 1830.3875],
    ['6\'-0 1/16', 1830.3875],
    ['72 1/16"', 1830.3875],
    ['72.0625in', 1830.3875],
    ['½"', 12.7],
    ['3½″', 88.9],
    ['6′ 2″', 1879.6],
    ['6 ft 2 in', 1879.6],
    ['−12', -12],
    ['-1\' 2"', -355.6],
    ['.5 in', 12.7],
    ['6\'2\'\'', 1879.6],
    ['3 1⁄2"', 88.9],
    ['6\' 0 1∕16"', 1830.3875],
  ])('reads %s as %d mm', (text, mm) => {
    expect(read(text)).toBeCloseTo(mm, 9)
  })

  it('takes a bare number in the unit of the wall', () => {
    expect(read('72', 'imperial')).toBeCloseTo(1828.8, 9)
    expect(read('72 1/16', 'imperial')).toBeCloseTo(1830.3875, 9)
  })

  it.each([
    ['', /Nothing is entered/],
    ['abc', /“abc” is not a length/],
    ['12 furlongs', /not a length/],
    ['1,830', /decimal comma or a thousand/],
    ['6\' 14"', /less than 12/],
    ['1/0"', /by 0/],
    ['3 5/4"', /less than 1/],
    ['72 1/16', /no unit/],
    ['1.5 1/2"', /not both/],
    ['1e3', /not a length/],
    ['12 34', /not a length/],
    ['-', /not a length/],
  ])('refuses %j and says what was expected', (text, why) => {
    expect(read(text)).toMatch(why)
    expect(read(text)).toMatch(/enter a length such as/)
  })
})

describe('showing a length', () => {
  it.each([
    [1830, '6\' 0 1/16"'],
    [9 * 304.8 + (25.4 * 11) / 16, '9\' 0 11/16"'],
    [9 * 304.8 + (25.4 * 27) / 16, '9\' 1 11/16"'],
    [(25.4 * 11) / 16, '11/16"'],
    [1200, '3\' 11 1/4"'],
    [1099.3, '3\' 7 1/4"'],
    [12.7, '1/2"'],
    [2438.4, '8\' 0"'],
    [0, '0"'],
    [-355.6, '−1\' 2"'],
    [304.7, '1\' 0"'],
  ])('shows %d mm as %s', (mm, text) => expect(formatLength(mm, 'imperial')).toBe(text))

  it('rounds half up, once, from the exact value', () => {
    expect(formatLength(0.5, 'metric')).toBe('1')
    expect(formatLength(1099.25, 'metric', { decimals: 1 })).toBe('1099.3')
    expect(formatLength(25.4 / 32, 'imperial')).toBe('1/16"')
    expect(formatLength(25.4 / 32, 'imperial', { denominator: 32 })).toBe('1/32"')
    expect(formatLength(-0.4, 'metric')).toBe('0')
  })

  it('says on which side something is, and never with a sign', () => {
    const said = (x: number, y: number) => textToString(words`its hook is ${beside({ x, y })} the centre`, 'metric')
    expect([said(0, -18), said(5, 0), said(-5, 7.5), said(0, 0)]).toEqual([
      'its hook is 18 mm below the centre',
      'its hook is 5 mm right of the centre',
      'its hook is 5 mm left of and 7.5 mm above the centre',
      'its hook is at the centre',
    ])
  })

  it('reads back what it shows, to within half a step', () => {
    const precision = fc.constantFrom(
      { decimals: 1, denominator: 32 } as const,
      { decimals: 0, denominator: 16 } as const,
    )
    fc.assert(
      fc.property(
        fc.double({ min: -1e5, max: 1e5, noNaN: true }),
        fc.constantFrom<UnitSystem>('metric', 'imperial'),
        precision,
        (mm, system, fineness) => {
          const back = parseLength(formatLength(mm, system, fineness), system)
          const half = (system === 'metric' ? 10 ** -fineness.decimals : 25.4 / fineness.denominator) / 2
          expect(back.ok && Math.abs(back.mm - mm)).toBeLessThanOrEqual(half + 1e-6)
          expect(back.ok && back.mm).toBeCloseTo(roundLength(mm, system, fineness), 6)
        },
      ),
    )
  })
})

it('keeps the lengths of a sentence exact until it is shown', () => {
  const text = words`misses by ${12.34} of ${'4'} in ${words`all ${25.4}`}`
  expect(textToString(text, 'metric')).toBe('misses by 12.3 mm of 4 in all 25.4 mm')
  expect(textToString(text, 'imperial')).toBe('misses by 1/2" of 4 in all 1"')
})
