import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { d46, exampleWall } from '../../tests/fixtures/job'
import { ORIENTATIONS, type ScreenArray } from '../job'
import { sumToString, textToString } from '../units'
import { arrange, orientDisplay, retellPlacing, runFigure, turnEdges, turnVector } from './index'

const wall = exampleWall()
const laid = (change: Partial<ScreenArray>) => arrange({ ...wall.arrays[0]!, ...change }, [d46], wall)!
const near = (actual: object, expected: object) => {
  for (const [key, value] of Object.entries(expected))
    expect(actual[key as keyof typeof actual], key).toBeCloseTo(value, 9)
}

describe('the worked example', () => {
  it('holds in landscape', () => {
    const { outline, cells, imageGap } = laid({})
    near(outline, { x: 1567.3, y: 1073.5, width: 3065.4, height: 1153 })
    expect(cells).toHaveLength(6)
    near(cells[0]!.outer, { x: 1567.3, y: 1650.3, width: 1021.4, height: 576.2 })
    near(cells[0]!.picture, { x: 1568.2, y: 1650.8, width: 1020, height: 574.8 })
    near(cells[0]!.pattern, { x: 2078, y: 1920.4 })
    near(imageGap, { x: 2, y: 2 })
  })

  it('holds in portrait, its top to the right', () => {
    const { outline, cells } = laid({ orientation: 'portrait-cw' })
    near(outline, { x: 2235.1, y: 628.3, width: 1729.8, height: 2043.4 })
    near(cells[0]!.outer, { x: 2235.1, y: 1650.3, width: 576.2, height: 1021.4 })
    near(cells[0]!.picture, { x: 2235.6, y: 1650.8, width: 574.8, height: 1020 })
    near(cells[0]!.pattern, { x: 2505.2, y: 2161 })
  })
})

describe('turning', () => {
  const number = fc.integer({ min: -1000, max: 1000 })
  it('four quarter turns are none, two are upside down, and left undoes right', () => {
    fc.assert(fc.property(fc.record({ x: number, y: number }), (v) => {
      const cw = (p: typeof v) => turnVector(p, 'portrait-cw')
      expect(cw(cw(cw(cw(v))))).toEqual(turnVector(v, 'landscape'))
      expect(cw(cw(v))).toEqual(turnVector(v, 'inverted'))
      expect(turnVector(cw(v), 'portrait-ccw')).toEqual(turnVector(v, 'landscape'))
    }))
  })

  it('takes each bezel where its edge goes', () => {
    const bezel = { top: 1, right: 2, bottom: 3, left: 4 }
    const directions = { top: { x: 0, y: 1 }, right: { x: 1, y: 0 }, bottom: { x: 0, y: -1 }, left: { x: -1, y: 0 } }
    for (const orientation of ORIENTATIONS) {
      const turned = turnEdges(bezel, orientation)
      for (const [edge, direction] of Object.entries(directions)) {
        const { x, y } = turnVector(direction, orientation)
        const goesTo = Object.entries(directions).find(([, d]) => d.x === x && d.y === y)![0]
        expect(turned[goesTo as keyof typeof turned]).toBe(bezel[edge as keyof typeof bezel])
      }
    }
  })

  it('turns picture and pixels with the case', () => {
    const upright = orientDisplay(d46, 'portrait-ccw')
    near(upright.picture, { width: 574.8, height: 1020 })
    expect(upright.resolution).toEqual({ x: 1080, y: 1920 })
    near(upright.pattern, { x: 18, y: 0 })
  })
})

describe('placing', () => {
  it('keeps the outline where it is when it is told by another edge', () => {
    const array = wall.arrays[0]!
    const was = laid({}).outline
    for (const edge of ['left', 'centre', 'right'] as const) for (const level of ['top', 'centre', 'bottom'] as const) {
      const at = { x: retellPlacing(array.at.x, was.width, edge), y: retellPlacing(array.at.y, was.height, level) }
      near(laid({ at }).outline, was)
    }
  })

  it('tiles: neighbours are one gap apart and fill the outline', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 6 }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.constantFrom(...ORIENTATIONS),
        (rows, columns, gap, orientation) => {
          const { display, cells, outline } = laid({ rows, columns, gap: { x: gap, y: 2 * gap }, orientation })
          const last = cells.at(-1)!
          near(cells[0]!.outer, { x: outline.x, y: outline.y + outline.height - display.height })
          near(last.outer, { x: outline.x + outline.width - display.width, y: outline.y })
          if (columns > 1) expect(cells[1]!.outer.x - cells[0]!.outer.x - display.width).toBeCloseTo(gap, 9)
          if (rows > 1) expect(cells[0]!.outer.y - cells[columns]!.outer.y - display.height).toBeCloseTo(2 * gap, 9)
        },
      ),
    )
  })

  it('shows the sum behind the outline', () => {
    const { value, working } = runFigure(wall.arrays[0]!, orientDisplay(d46, 'landscape'), [], 'x')
    expect(value).toBeCloseTo(3065.4, 9)
    expect(sumToString(working[0]!.expression, 'metric')).toBe('3 × 1021.4 + 2 × 0.6')
  })
})

describe('a grid that leaves the wall', () => {
  it('is a stop that says by how much', () => {
    const off = laid({ at: { x: { edge: 'left', value: -120 }, y: { edge: 'centre', value: 1650 } } })
    expect(off.findings.map(({ code, message }) => [code, textToString(message, 'metric')]))
      .toEqual([['array-off-wall', 'Departures extends past the wall’s left edge by 120 mm.']])
    expect(laid({ columns: 7 }).findings.map(({ code }) => code)).toEqual([
      'array-larger-than-wall',
      'array-larger-than-wall',
    ])
    expect(laid({}).findings).toEqual([])
  })
})
