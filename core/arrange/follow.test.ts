import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { d46, exampleWall } from '../../tests/fixtures/job'
import type { Rect } from '../geometry'
import type { Feature, Rules, ScreenArray, Wall } from '../job'
import { arrange } from './index'
import { placeOf } from './follow'
import { placeByRule } from './placingRule'

const feature = (id: string, x: number, y: number, width = 200, height = 400): Feature => ({
  id,
  kind: 'counter',
  x,
  y,
  width,
  height,
})
const ruled = (follows: ScreenArray['follows'], change: Partial<Wall> = {}): { wall: Wall, array: ScreenArray } => {
  const wall = { ...exampleWall(), ...change }
  return { wall, array: { ...wall.arrays[0]!, follows } }
}
const outline = ({ wall, array }: { wall: Wall, array: ScreenArray }) => arrange(array, [d46], wall)!.outline

describe('an array placed by a rule', () => {
  it('stays true whatever the wall becomes', () => {
    const mm = fc.integer({ min: 3200, max: 20_000 })
    fc.assert(
      fc.property(mm, fc.integer({ min: 0, max: 1500 }), fc.integer({ min: 0, max: 900 }), (width, top, clear) => {
        const box = outline(
          ruled(
            { x: { rule: 'wall-centre' }, y: { rule: 'above', feature: 'f1', value: clear } },
            { width, features: [feature('f1', 0, 0, 300, top + 1)] },
          ),
        )
        expect(box.x + box.width / 2).toBeCloseTo(width / 2, 6)
        expect(box.y).toBeCloseTo(top + 1 + clear, 6)
      }),
    )
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
    const below = outline(
      ruled({ y: { rule: 'below', feature: 'c', value: 50 } }, { features: [feature('c', 0, 2900, 6000, 20)] }),
    )
    expect(below.y + below.height).toBeCloseTo(2850, 9)
  })

  it('stays where it was put when what it follows is gone, and says so', () => {
    const { wall, array } = ruled({
      x: { rule: 'between', features: ['a', 'b'] },
      y: { rule: 'above', feature: 'gone', value: 10 },
    })
    expect(placeOf(array, wall)).toEqual(array.at)
    expect(arrange(array, [d46], wall)!.findings.map(({ code }) => code)).toEqual(['placing-lost', 'placing-lost'])
  })

  it('follows nothing unless it is told to', () => {
    const { wall, array } = ruled(undefined)
    expect(placeOf(array, wall)).toEqual(array.at)
    expect(arrange(array, [d46], wall)!.findings).toEqual([])
  })
})

describe('a new array by the house rule for heights', () => {
  const counter = { ...feature('f1', 2000, 0, 2200, 1050), kind: 'counter' }
  const ceiling = { ...feature('f2', 0, 2700, 6200, 20), kind: 'ceiling-line' }
  const placed = (rules: Rules, features: Feature[] = []) => {
    const wall = { ...exampleWall(), features }
    const place = placeByRule(wall, rules)
    return place && outline({ wall, array: { ...wall.arrays[0]!, rows: 1, columns: 1, follows: undefined, ...place } })
  }
  const middle = (box: Rect | undefined) => box && box.y + box.height / 2

  it('has its middle where the rule says', () => {
    expect(middle(placed({}))).toBeCloseTo(1650, 9)
    expect(middle(placed({ placingHeight: 'seated-eye' }))).toBeCloseTo(1200, 9)
    expect(middle(placed({ placingHeight: 'standing-eye' }))).toBeCloseTo(1600, 9)
    expect(middle(placed({ placingHeight: 'fixed' }))).toBeCloseTo(1500, 9)
    expect(middle(placed({ placingHeight: 'fixed', fixedHeight: 1720 }))).toBeCloseTo(1720, 9)
    // Between the counter’s top at 1050 and the ceiling line at 2700.
    expect(middle(placed({ placingHeight: 'between-features' }, [ceiling, counter]))).toBeCloseTo(1875, 9)
  })

  it('keeps clear of the highest furniture before the middle of the wall', () => {
    const bench = { ...feature('f3', 2500, 0, 900, 450), kind: 'furniture' }
    expect(placed({ placingHeight: 'above-furniture' }, [bench, counter])!.y).toBeCloseTo(1200, 9)
    expect(placed({ placingHeight: 'above-furniture', clearAboveFurniture: 80 }, [counter])!.y).toBeCloseTo(1130, 9)
  })

  it('is not known where the wall has nothing of what the rule goes by', () => {
    expect(placed({ placingHeight: 'above-furniture' }, [ceiling])).toBeUndefined()
    expect(placed({ placingHeight: 'between-features' }, [counter])).toBeUndefined()
    // Furniture at one side is not before the array.
    expect(placed({ placingHeight: 'above-furniture' }, [{ ...counter, x: 4000 }])).toBeUndefined()
  })
})
