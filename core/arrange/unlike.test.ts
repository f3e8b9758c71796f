import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { d46, exampleJob, exampleWall } from '../../tests/fixtures/job'
import type { InvalidJob, Alignment, CellChoice, Display, Feature, ScreenArray } from '../job'
import { ORIENTATIONS, ROW_ALIGNMENTS, validateJob } from '../job'
import { planWall } from '../plan'
import { textToString } from '../units'
import { arrange, displayFaults, evenBezels, pixelMap, seamsOf, turnEdges, turnSide } from './index'

const sign: Display = {
  ...d46,
  id: 'sign',
  name: 'Firth 32S',
  width: 726,
  height: 425,
  bezel: { top: 9.5, right: 9.5, bottom: 13.5, left: 9.5 },
  vesa: { ...d46.vesa, width: 200, height: 200, offset: { x: 0, y: 0 } },
}
const wall = exampleWall()
const laid = (change: Partial<ScreenArray>) => arrange({ ...wall.arrays[0]!, ...change }, [d46, sign], wall)!
const codes = (change: Partial<ScreenArray>) => laid(change).findings.map(({ code }) => code)

describe('cells of their own', () => {
  it('may be left empty, and the others stay where they are', () => {
    const [full, holed] = [laid({}), laid({ cells: [{ row: 1, column: 2, empty: true }] })]
    expect(holed.outline).toEqual(full.outline)
    expect(holed.cells).toEqual(full.cells.filter(({ row, column }) => row !== 1 || column !== 2))
    const none = full.cells.map(({ row, column }) => ({ row, column, empty: true }))
    expect(laid({ cells: none })).toMatchObject({ cells: [], findings: [{ code: 'array-empty' }] })
  })

  it('may be turned or of another model of the same size', () => {
    const twin = { ...d46, id: 'twin' }
    const { cells } = arrange(
      { ...wall.arrays[0]!, cells: [{ row: 2, column: 1, orientation: 'inverted', display: 'twin', mount: 'm1' }] },
      [d46, twin],
      wall,
    )!
    expect(cells[3]).toMatchObject({ model: 'twin', orientation: 'inverted', mount: 'm1' })
    expect(cells[3]!.outer).toEqual(laid({}).cells[3]!.outer)
    // Upside down, the pattern 18 below the middle lies 18 above it.
    expect(cells[3]!.pattern.y - laid({}).cells[3]!.pattern.y).toBeCloseTo(36, 9)
  })

  it('are a stop where they do not fit their place, with both sizes', () => {
    const turned = laid({ cells: [{ row: 1, column: 1, orientation: 'portrait-cw' }] })
    expect(turned.findings.map(({ code, subject }) => [code, subject.id])).toEqual([
      ['cell-of-another-size', 'a1-r1c1'],
    ])
    expect(textToString(turned.findings[0]!.message, 'metric')).toBe(
      'R1 C1 of Departures is 576.2 × 1021.4 mm; the other screens of the grid are 1021.4 × 576.2 mm.',
    )
    expect(codes({ cells: [{ row: 1, column: 1, display: 'sign' }] })).toEqual([
      'cell-of-another-size',
      'cell-of-another-pitch',
    ])
  })

  it('carry what each one needs into plates, masses and findings', () => {
    const job = exampleJob()
    job.catalogue.mounts.push({ ...job.catalogue.mounts[0]!, id: 'light', name: 'Light', capacity: 10 })
    job.walls[0]!.arrays[0]!.cells = [{ row: 1, column: 1, mount: 'light' }, { row: 2, column: 3, empty: true }]
    const { arrays, findings } = planWall(job.walls[0]!, job)
    expect(arrays[0]!.positions).toHaveLength(5)
    expect(
      findings
        .filter(({ code }) => code === 'mount-over-capacity')
        .map(({ message }) => textToString(message, 'metric')),
    ).toEqual(['Light carries at most 10 kg; Kelda 46N weighs 21.5 kg.'])
  })
})

describe('a row of unlike displays', () => {
  const row = (align: Alignment, second: Partial<CellChoice> = {}) =>
    laid({
      rows: 1,
      columns: 2,
      align,
      gap: { x: 5, y: 0 },
      cells: [{ row: 1, column: 2, display: 'sign', ...second }],
    })

  it.each([
    ['case-top', 151.2], ['case-bottom', 0], ['picture-top', 159.8], ['picture-bottom', -13], ['picture-centre', 73.4],
  ] as const)('must align by one of %s', (align, higher) => {
    const [a, b] = row(align).cells
    expect(b!.outer.y - a!.outer.y).toBeCloseTo(higher, 9)
    expect(b!.outer.x - a!.outer.x - a!.outer.width).toBeCloseTo(5, 9)
  })

  it('has an outline that just holds every case, whatever the models, turns and line', () => {
    const choice = fc.record({ display: fc.constantFrom('d46', 'sign'), orientation: fc.constantFrom(...ORIENTATIONS) })
    fc.assert(
      fc.property(
        fc.array(choice, { minLength: 1, maxLength: 6 }),
        fc.constantFrom(...ROW_ALIGNMENTS),
        (choices, align) => {
          const { outline, cells } = laid({
            rows: 1,
            columns: choices.length,
            align,
            cells: choices.map((cell, n) => ({ row: 1, column: n + 1, ...cell })),
          })
          expect(Math.min(...cells.map(({ outer }) => outer.y))).toBeCloseTo(outline.y, 6)
          expect(Math.max(...cells.map(({ outer }) => outer.y + outer.height))).toBeCloseTo(
            outline.y + outline.height,
            6,
          )
          expect(cells[0]!.outer.x).toBeCloseTo(outline.x, 6)
          const last = cells.at(-1)!.outer
          expect(last.x + last.width).toBeCloseTo(outline.x + outline.width, 6)
        },
      ),
    )
  })

  it('hangs as a column from the top down, in line by its pictures’ middles', () => {
    const [a, b] = laid({
      rows: 2,
      columns: 1,
      align: 'picture-centre',
      gap: { x: 0, y: 7 },
      cells: [{ row: 2, column: 1, display: 'sign', orientation: 'portrait-ccw' }],
    }).cells
    expect(a!.outer.y - b!.outer.y - b!.outer.height).toBeCloseTo(7, 9)
    expect(a!.picture.x + a!.picture.width / 2).toBeCloseTo(b!.picture.x + b!.picture.width / 2, 9)
  })

  it('has seams of its own, and a canvas of its finest pixels', () => {
    const { cells, imageGap } = row('picture-top')
    expect(seamsOf(cells)).toMatchObject([{ axis: 'x', image: 0.5 + 5 + 9.5 }])
    expect(seamsOf(cells)[0]!.gap).toBeCloseTo(5, 9)
    expect(imageGap.x).toBeCloseTo(15, 9)
    const map = pixelMap(cells, imageGap)
    expect(map.pitch.x).toBeCloseTo((726 - 19) / 1920, 9)
    expect(map.crops[1]!.rounded.width).toBe(1920)
  })

  it('is refused as more than a row, and in line by what a row has not', () => {
    const faults = (change: Partial<ScreenArray>) => {
      const job = exampleJob()
      Object.assign(job.walls[0]!.arrays[0]!, change)
      try {
        validateJob(job)
      }
      catch (error) {
        return (error as InvalidJob).faults
      }
      return []
    }
    expect(faults({ align: 'case-top' })[0]).toMatchObject({
      path: '$.walls[0].arrays[0].align',
      message: expect.stringContaining('not in 2 × 3'),
    })
    expect(faults({ rows: 1, align: 'case-left' })[0]!.message).toContain('a row must align by one of')
    expect(faults({ cells: [{ row: 3, column: 1, empty: true }] })[0]).toMatchObject({
      path: '$.walls[0].arrays[0].cells[0]',
      message: 'is R3 C1, outside a grid of 2 × 3',
    })
    expect(faults({ cells: [{ row: 1, column: 1 }, { row: 1, column: 1 }] })[0]!.message).toBe('R1 C1 is listed twice')
    expect(faults({ cells: [{ row: 1, column: 1, display: 'none' }] })[0]!.path).toBe(
      '$.walls[0].arrays[0].cells[0].display',
    )
    expect(faults({ rows: 1, align: 'case-top' })).toEqual([])
  })
})

describe('what an array lies over', () => {
  const over = (feature: Partial<Feature>) => {
    const covering = arrange(wall.arrays[0]!, [d46], {
      ...wall,
      features: [{ id: 'f', kind: 'outlet', x: 1500, y: 1000, width: 76, height: 120, ...feature }],
    })!
    return covering.findings.map(({ severity, code, message }) => [severity, code, textToString(message, 'metric')])
  }
  it.each([
    [
      'a door',
      { kind: 'door', x: 1000, y: 0, width: 900, height: 2100 },
      ['stop', 'array-over-opening', 'Departures covers a door by 332.7 mm horizontally and 576.2 mm vertically.'],
    ],
    [
      'an outlet to reach',
      { x: 1560, keepReachable: true },
      [
        'stop',
        'array-over-reachable',
        'Departures covers the outlet that must stay accessible by 68.7 mm horizontally and 46.5 mm vertically.',
      ],
    ],
    [
      'a counter',
      { kind: 'counter', x: 1000, y: 0, width: 3000, height: 1100 },
      [
        'caution',
        'array-behind-furniture',
        'Departures covers the counter by 1021.4 mm horizontally and 26.5 mm vertically.',
      ],
    ],
  ])('is told with by how much: %s', (_, feature, told) => expect(over(feature)).toEqual([told]))
  it('is nothing where it only touches, or may be covered', () => {
    expect(over({ x: 1567.3 - 76, keepReachable: true })).toEqual([])
    expect(over({ x: 1600 })).toEqual([])
  })
})

describe('several arrays', () => {
  const planned = (x: number, clearance?: number) => {
    const job = exampleJob()
    const array = job.walls[0]!.arrays[0]!
    array.columns = 1
    Object.assign(job.walls[0]!, {
      features: [],
      arrays: [
        { ...array, at: { ...array.at, x: { edge: 'left', value: 1000 } } },
        { ...array, id: 'b', name: 'Notices', at: { ...array.at, x: { edge: 'left', value: x } } },
      ],
      ...(clearance !== undefined && { clearance }),
    })
    return planWall(job.walls[0]!, job)
      .findings.filter(({ code }) => code.startsWith('arrays'))
      .map(({ code, message }) => [code, textToString(message, 'metric')])
  }
  it('are kept apart', () => {
    expect(planned(2000)).toEqual([
      ['arrays-overlap', 'Departures and Notices overlap by 21.4 mm horizontally and 576.2 mm vertically.'],
    ])
    expect(planned(2041.4, 50)).toEqual([
      ['arrays-close', 'Departures and Notices are 20 mm apart; the minimum between arrays on this wall is 50 mm.'],
    ])
    expect(planned(2071.4, 50)).toEqual([])
    expect(planned(2021.4)).toEqual([])
  })
})

it('a wall of alternatives cautions until the one that is planned is the one chosen', () => {
  const job = exampleJob()
  const alternatives = [{ id: 'a', name: 'Wide' }, { id: 'b', name: 'Tall', arrays: [] }]
  const said = (change: object) =>
    planWall({ ...job.walls[0]!, alternatives, alternative: 'a', ...change }, job)
      .findings.filter(({ code }) => code === 'alternative-open')
      .map(({ message }) => textToString(message, 'metric'))
  expect(said({})).toEqual(['The wall has 2 alternatives, and the client has not chosen one yet.'])
  expect(said({ chosen: 'b' })).toEqual(['The client chose “Tall”, but this plan is “Wide”.'])
  expect(said({ chosen: 'a' })).toEqual([])
})

describe('a display’s figures', () => {
  it('are refused where they cannot be, by how much', () => {
    expect(displayFaults(d46)).toEqual([])
    const wrong = {
      ...d46,
      bezel: { top: 300, right: 600, bottom: 276.2, left: 500 },
      vesa: { ...d46.vesa, width: 1000, offset: { x: 20, y: -18 }, recess: 68 },
      back: { profile: 'stepped' as const, rim: 80 },
    }
    expect(displayFaults(wrong).map(({ path }) => path)).toEqual([
      '$.bezel.left',
      '$.bezel.top',
      '$.vesa.width',
      '$.back.rim',
      '$.vesa.recess',
    ])
    expect(displayFaults(wrong)[0]!.message).toContain('78.6 mm')
    const job = exampleJob()
    job.catalogue.displays[0] = wrong
    expect(planWall(job.walls[0]!, job).findings.filter(({ code }) => code === 'display-impossible')).toHaveLength(5)
  })

  it('give even bezels from a picture’s size, if it fits the case', () => {
    const even = evenBezels(d46, { width: 1020, height: 574.8 })
    expect('bezel' in even && [even.bezel.left, even.bezel.top].map(mm => Math.round(1000 * mm) / 1000)).toEqual([
      0.7, 0.7,
    ])
    expect(evenBezels(d46, { width: 1030, height: 500 })).toEqual({
      faults: [{ path: '$.picture.width', message: 'The picture is 8.6 mm wider than the case' }],
    })
  })

  it('turn its sides as they turn its bezels', () => {
    const bezel = { top: 1, right: 2, bottom: 3, left: 4 }
    for (const orientation of ORIENTATIONS) for (const side of ['top', 'right', 'bottom', 'left'] as const) {
      expect(turnEdges(bezel, orientation)[turnSide(side, orientation)]).toBe(bezel[side])
    }
  })
})
