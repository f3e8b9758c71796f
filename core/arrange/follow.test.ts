import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { d46, exampleWall } from '../../tests/fixtures/job'
import type { Feature, ScreenArray, Wall } from '../job'
import { arrange } from './index'
import { placeOf } from './follow'

const feature = (id: string, x: number, y: number, width = 200, height = 400): Feature => ({ id, kind: 'counter', x, y, width, height })
const ruled = (follows: ScreenArray['follows'], change: Partial<Wall> = {}): { wall: Wall, array: ScreenArray } => {
  const wall = { ...exampleWall(), ...change }
  return { wall, array: { ...wall.arrays[0]!, follows } }
}
const outline = ({ wall, array }: { wall: Wall, array: ScreenArray }) => arrange(array, [d46], wall)!.outline

describe('an array placed by a rule', () => {
  it('stays true whatever the wall becomes', () => {
    const mm = fc.integer({ min: 3200, max: 20_000 })
    fc.assert(fc.property(mm, fc.integer({ min: 0, max: 1500 }), fc.integer({ min: 0, max: 900 }), (width, top, clear) => {
      const box = outline(ruled({ x: { rule: 'wall-centre' }, y: { rule: 'above', feature: 'f1', value: clear } }, { width, features: [feature('f1', 0, 0, 300, top + 1)] }))
      expect(box.x + box.width / 2).toBeCloseTo(width / 2, 6)
      expect(box.y).toBeCloseTo(top + 1 + clear, 6)
    }))
  })

  it('is centred between two features, whichever is named first', () => {
    const features = [feature('a', 500, 0), feature('b', 5000, 0)]
    for (const pair of [['a', 'b'], ['b', 'a']]) {
      const box = outline(ruled({ x: { rule: 'between', features: pair } }, { features }))
      expect(box.x + box.width / 2).toBeCloseTo((700 + 5000) / 2, 9)
    }
  })

  it('has its centre at the eye, and its top below a ceiling line', () => {
    const eye = outline(ruled({ y: { rule: 'eye', value: 1600 } }))
    expect(eye.y + eye.height / 2).toBeCloseTo(1600, 9)
    const below = outline(ruled({ y: { rule: 'below', feature: 'c', value: 50 } }, { features: [feature('c', 0, 2900, 6000, 20)] }))
    expect(below.y + below.height).toBeCloseTo(2850, 9)
  })

  it('stays where it was put when what it follows is gone, and says so', () => {
    const { wall, array } = ruled({ x: { rule: 'between', features: ['a', 'b'] }, y: { rule: 'above', feature: 'gone', value: 10 } })
    expect(placeOf(array, wall)).toEqual(array.at)
    expect(arrange(array, [d46], wall)!.findings.map(({ code }) => code)).toEqual(['placing-lost', 'placing-lost'])
  })

  it('follows nothing unless it is told to', () => {
    const { wall, array } = ruled(undefined)
    expect(placeOf(array, wall)).toEqual(array.at)
    expect(arrange(array, [d46], wall)!.findings).toEqual([])
  })
})
