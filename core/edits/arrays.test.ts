import { produce } from 'immer'
import { describe, expect, it } from 'vitest'
import { arrange } from '../arrange'
import { d46, exampleJob, exampleWall } from '../../tests/fixtures/job'
import { arraysOf, merge, wallFaults, type Wall } from '../job'
import {
  addAlternative, addArray, alignArrays, arrayOf, distributeArrays, duplicateArray, mirrorArray, removeAlternative,
  removeArray, setCell, setGrid, showAlternative, wallWith,
} from './index'

const displays = [d46]
/** A wall of 12 m with arrays of one screen whose left edges are here. */
function row(...lefts: number[]): Wall {
  const wall = exampleWall()
  const [array] = wall.arrays
  return {
    ...wall,
    width: 12_000,
    arrays: lefts.map((x, n) => ({
      ...array!,
      id: `a${n + 1}`,
      name: `Sign ${n + 1}`,
      rows: 1,
      columns: 1,
      at: { x: { edge: 'left', value: x }, y: { edge: 'bottom', value: 900 + 100 * n } },
    })),
  }
}
const outline = (wall: Wall, id: string) => arrange(arrayOf(wall, id), displays, wall)!.outline
const edited = (wall: Wall, recipe: (wall: Wall) => void) => produce(wall, recipe)

describe('several arrays', () => {
  it('are copied beside each other under names of their own, to the left where there is no room', () => {
    let added = ''
    const wall = edited({ ...row(1000), clearance: 40 }, (wall) => { added = duplicateArray(wall, 'a1', displays) })
    expect([added, arrayOf(wall, added).name]).toEqual([expect.stringMatching(/^sign-1-[0-9a-z]{6}$/), 'Sign 1 2'])
    expect(outline(wall, added).x).toBeCloseTo(1000 + 1021.4 + 40, 9)
    const crowded = edited(row(10_900), (wall) => { added = duplicateArray(wall, 'a1', displays) })
    expect(outline(crowded, added).x).toBeCloseTo(10_900 - 1021.4 - 100, 9)
  })

  it('turned over twice are as they were, plates and cells too, but for holes put by hand, which are places on the wall', () => {
    const wall = edited(row(1000), (wall) => {
      Object.assign(wall.arrays[0]!, {
        columns: 3,
        orientation: 'portrait-cw',
        plates: [{ row: 1, column: 1, lateralShift: 5 }],
        holes: [{ row: 1, column: 1, of: 'top', rank: 1, x: 1900 }],
        cells: [{ row: 1, column: 3, orientation: 'inverted' }],
      })
    })
    const once = edited(wall, wall => mirrorArray(wall, 'a1', displays))
    expect(once.arrays[0]).toMatchObject({
      orientation: 'portrait-ccw',
      plates: [{ column: 3, lateralShift: -5 }],
      cells: [{ column: 1, orientation: 'inverted' }],
    })
    expect(outline(once, 'a1').x + outline(once, 'a1').width).toBeCloseTo(12_000 - 1000, 9)
    const twice = edited(once, wall => mirrorArray(wall, 'a1', displays))
    const { holes: _, ...rest } = wall.arrays[0]!
    expect(twice.arrays[0]).not.toHaveProperty('holes')
    expect(twice.arrays[0]).toMatchObject({ ...rest, at: { x: { value: expect.closeTo(1000, 9) } } })
  })

  it.each([
    ['left', 'x', 1000],
    ['right', 'x', 1000],
    ['centre', 'x', 1000],
    ['bottom', 'y', 900],
    ['top', 'y', 900],
    ['middle', 'y', 900],
  ] as const)('are brought in line by their %s', (edge, axis, at) => {
    const wall = edited(row(1000, 3000, 5100), wall => alignArrays(wall, 'a1', edge, displays))
    for (const { id } of wall.arrays) expect(outline(wall, id)[axis]).toBeCloseTo(at, 9)
    expect(outline(wall, 'a3')[axis === 'x' ? 'y' : 'x']).toBe(axis === 'x' ? 1100 : 5100)
  })

  it('are spread evenly between the first and the last', () => {
    const wall = edited(row(1000, 9000, 2300, 4000), wall => distributeArrays(wall, 'x', 'gaps', displays))
    const lefts = wall.arrays.map(({ id }) => outline(wall, id).x).sort((a, b) => a - b)
    const gaps = lefts.slice(1).map((x, n) => x - lefts[n]! - 1021.4)
    expect([lefts[0], lefts.at(-1)]).toEqual([1000, 9000])
    for (const gap of gaps) expect(gap).toBeCloseTo((8000 - 3 * 1021.4) / 3, 9)
  })

  it('are spread by their middles too, which differs where they are of unlike sizes', () => {
    const unlike = edited(row(1000, 3000, 9000), wall => setGrid(arrayOf(wall, 'a2'), 1, 3))
    const spread = (by: 'gaps' | 'middles') =>
      outline(
        edited(unlike, wall => distributeArrays(wall, 'x', by, displays)),
        'a2',
      )
    const wide = spread('middles').width
    expect(spread('middles').x + wide / 2).toBeCloseTo(5000 + 1021.4 / 2, 9)
    expect(spread('gaps').x).toBeCloseTo(1000 + 1021.4 + (8000 - 1021.4 - wide) / 2, 9)
    const uneven = edited(row(1000, 2000, 3000, 9000), (wall) => {
      setGrid(arrayOf(wall, 'a2'), 1, 2)
      distributeArrays(wall, 'x', 'middles', displays)
    })
    const middles = ['a1', 'a2', 'a3', 'a4'].map(id => outline(uneven, id)).map(({ x, width }) => x + width / 2)
    expect(middles[1]! - middles[0]!).toBeCloseTo(8000 / 3, 9)
    expect(middles[2]! - middles[1]!).toBeCloseTo(8000 / 3, 9)
  })
})

describe('a cell of its own', () => {
  it('is one entry for a place, none where nothing is chosen, and goes with its place', () => {
    const wall = edited(row(1000), (wall) => {
      const array = arrayOf(wall, 'a1')
      setGrid(array, 2, 2)
      setCell(array, 2, 2, { empty: true })
      setCell(array, 1, 2, { orientation: 'inverted' })
      setCell(array, 1, 2, { mount: 'm1' })
      setCell(array, 2, 2, { empty: false })
    })
    expect(wall.arrays[0]!.cells).toEqual([{ row: 1, column: 2, orientation: 'inverted', mount: 'm1' }])
    expect(edited(wall, wall => setGrid(arrayOf(wall, 'a1'), 2, 1)).arrays[0]).not.toHaveProperty('cells')
  })
})

describe('alternatives', () => {
  const begun = edited(row(1000), addAlternative)
  const [a, b] = begun.alternatives!.map(({ id }) => id) as [string, string]
  const copy = begun.arrays.find(({ alternative }) => alternative === b)!.id
  const arrays = (wall: Wall) => arraysOf(wall).map(({ id, rows, columns }) => `${id} ${rows}×${columns}`)
  const shown = (wall: Wall, id: string) => arrays(wallWith(wall, { id, name: id }))

  it('begin with what there is and a copy of it under ids of its own, which is worked on', () => {
    expect([begun.alternatives, begun.alternative]).toEqual([[{ id: a, name: 'A' }, { id: b, name: 'B' }], b])
    expect([shown(begun, a), shown(begun, b)]).toEqual([['a1 1×1'], [`${copy} 1×1`]])
    expect([copy === 'a1', a === b]).toEqual([false, false])
    expect(wallFaults(edited(begun, addAlternative), exampleJob().catalogue)).toEqual([])
  })

  it('are shown one at a time, each keeping what was done to it', () => {
    const wall = edited(begun, (wall) => {
      arrayOf(wall, copy).rows = 2
      addArray(wall, { ...row(0).arrays[0]!, name: 'Menu' })
      showAlternative(wall, a)
      removeArray(wall, 'a1')
      showAlternative(wall, 'none')
    })
    expect([arrays(wall), shown(wall, b)]).toEqual([
      [],
      [`${copy} 2×1`, expect.stringMatching(/^menu-[0-9a-z]{6} 1×1$/)],
    ])
    expect(wallWith(wall, { id: a, name: 'A' })).toBe(wall)
  })

  it('are taken away but for the one that is worked on; the last one is just the wall', () => {
    expect(edited(begun, wall => removeAlternative(wall, b))).toBe(begun)
    const alone = edited({ ...begun, chosen: a }, wall => removeAlternative(wall, a))
    expect([alone.alternatives, alone.alternative, alone.chosen]).toEqual([undefined, undefined, undefined])
    expect(alone.arrays).toEqual([{ ...row(1000).arrays[0], id: copy }])
  })
})

describe('alternatives of two people', () => {
  const begun = edited(row(1000), addAlternative)
  const [a, b] = begun.alternatives!.map(({ id }) => id) as [string, string]
  const copy = begun.arrays.find(({ alternative }) => alternative === b)!.id
  const shown = (wall: Wall, id: string) =>
    arraysOf(wallWith(wall, { id, name: id })).map(({ id, rows, columns }) => `${id} ${rows}×${columns}`)

  it('of two people who work on different ones do not mix, whoever saves first', () => {
    const base = edited(begun, addAlternative)
    const onA = edited(base, (wall) => {
      showAlternative(wall, a)
      arrayOf(wall, 'a1').columns = 3
    })
    const onB = edited(base, (wall) => {
      showAlternative(wall, b)
      arrayOf(wall, copy).rows = 2
      addArray(wall, { ...row(0).arrays[0]!, name: 'Menu' })
    })
    for (const merged of [merge(base, onA, onB), merge(base, onB, onA)]) {
      expect(
        base.alternatives!.map(({ id }) => shown(merged, id).map(each => each.replace(/-[0-9a-z]{6} /, ' '))),
      ).toEqual([['a1 1×3'], [`${copy.slice(0, -7)} 2×1`, 'menu 1×1'], [`${copy.slice(0, -7)} 1×1`]])
      expect(wallFaults(merged, exampleJob().catalogue)).toEqual([])
    }
  })

  it('begun by one while another works on the wall keep what that one does', () => {
    const base = row(1000)
    const other = edited(base, (wall) => { arrayOf(wall, 'a1').columns = 4 })
    for (const merged of [merge(base, begun, other), merge(base, other, begun)])
      expect([shown(merged, a), shown(merged, b)]).toEqual([['a1 1×4'], [`${copy} 1×1`]])
  })
})
