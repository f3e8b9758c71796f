import { describe, expect, it } from 'vitest'
import { spokenFigure, spokenOrder } from './spoken'

describe('what was said', () => {
  it.each([
    ['minus zero point five', '-0.5'],
    ['one point 8 millimetres', '1.8'],
    ['1.8', '1.8'],
    ['-0.4', '-0.4'],
    ['zero', '0'],
    ['point six', '0.6'],
    ['two point one five', '2.15'],
    ['1,2', '1.2'],
    ['negative 3', '-3'],
    ['3/16', '3/16'],
    ['twelve', '12'],
  ])('“%s” is %s', (said, typed) => expect(spokenFigure(said)).toBe(typed))

  it.each(['next', 'what', '', 'millimetres'])('“%s” is no figure', said => expect(spokenFigure(said)).toBeUndefined())

  it('can be an order', () =>
    expect(['next please', 'skip', 'go back', '1.8'].map(spokenOrder)).toEqual(['next', 'next', 'back', undefined]))
})
