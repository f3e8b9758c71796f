import { fireEvent } from '@testing-library/dom'
import { describe, expect, it } from 'vitest'
import { arrange } from '~~/core/arrange'
import { useWallStore } from '~/stores/wall'
import {
  alerts, bare, choose, field, fill, mountAtWall, press, refuses, said, says, textOf,
} from '~~/tests/fixtures/mounted'
import AlternativesView from './AlternativesView.vue'
import ArrangeBench from './ArrangeBench.vue'

const array = (n = 0) => useWallStore().wall!.arrays[n]!
const cells = () => arrange(array(), useWallStore().catalogue.displays, useWallStore().wall!)!

async function fillAll(fields: Record<string, string>) {
  for (const [label, text] of Object.entries(fields)) await fill(label, text)
}

describe('Arrange', () => {
  it('says what is wrong beside each field, keeps what was typed and takes nothing wrong', async () => {
    const store = await mountAtWall([ArrangeBench])
    const before = store.wall
    for (const [label, typed, told] of [
      ['Columns', '7', '7 columns are 7153.4 mm wide; the wall is 6200 mm'],
      ['Columns', '0', 'Must be at least 1'],
      ['Rows', 'two', '“two” is not a whole number'],
      ['Rows', '3000', 'Has 9000 screens; at most 2500'],
      ['Horizontal gap', '-1', 'Must not be negative'],
      ['Height above floor', 'up there', '“up there” is not a length'],
      ['Height above floor', '1,500', 'could have a decimal comma or a thousand'],
    ] as const) await refuses(label, typed, told)
    expect(store.wall).toBe(before)
  })

  it('chooses, sizes, turns and places a grid in either unit', async () => {
    const store = await mountAtWall([ArrangeBench])
    await fill('Rows', '2')
    await fill('Columns', '2')
    await fill('Horizontal gap', '1/8"')
    await fill('From wall left', '9\' 10 1/8"')
    expect(array()).toMatchObject({ rows: 2, columns: 2, gap: { x: 3.175 }, at: { x: { edge: 'centre' } } })
    expect(array().at.x.value).toBeCloseTo(3000.375, 6)
    // All four ways up: the case is turned, and with it the picture in it.
    for (const [choice, size, left] of [
      ['portrait-cw', [576.2, 1021.4], 0.5], ['portrait-ccw', [576.2, 1021.4], 0.9],
      ['inverted', [1021.4, 576.2], 0.5], ['landscape', [1021.4, 576.2], 0.9],
    ] as const) {
      await choose('Orientation', choice)
      const [{ outer, picture }] = cells().cells as [ReturnType<typeof cells>['cells'][number]]
      const pictureFrom = Math.round((picture.x - outer.x) * 10) / 10
      expect([array().orientation, [outer.width, outer.height], pictureFrom]).toEqual([choice, size, left])
    }
    // Held by another edge, the grid stays where it is.
    const { outline } = cells()
    await choose('Horizontal position', 'right')
    await choose('Vertical position', 'top')
    expect([cells().outline.x, cells().outline.y]).toEqual([expect.closeTo(outline.x, 6), expect.closeTo(outline.y, 6)])
    expect(array().at.x.edge).toBe('right')
    // Any figure opens to its sum.
    await press(/^Outline width/)
    await expect.poll(() => document.body.textContent).toContain('2 × 1021.4 + 1 × 3.2 = 2046')
    expect(store.history.past.length).toBe(10)
  })
})

describe('Arrange, array by array', () => {
  it('keeps an array to what it follows until it is moved', async () => {
    const store = await mountAtWall([ArrangeBench], { wall: 'cafe' })
    expect([field('Vertical position').value, field('Clearance above').value]).toEqual(['above counter', '100'])
    store.edit('Raise the counter', (wall) => { wall.features!.find(({ id }) => id === 'counter')!.height = 950 })
    await expect.poll(() => cells().outline.y).toBeCloseTo(1050, 6)
    await fill('Clearance above', '80')
    await choose('Horizontal position', 'wall-centre')
    expect(field('From wall left').value).toBe('1200')
    expect(cells().outline.y).toBeCloseTo(1030, 6)
    expect(array().follows).toEqual({ x: { rule: 'wall-centre' }, y: { rule: 'above', feature: 'counter', value: 80 } })
    runByKey(new KeyboardEvent('keydown', { key: 'ArrowUp', shiftKey: true }))
    await expect.poll(() => field('Vertical position').value).toBe('bottom')
    expect(field('Height above floor').value).toBe('1040')
    store.undo()
    await expect.poll(() => field('Vertical position').value).toBe('above counter')
  })

  it('keeps several arrays apart, copies, mirrors and brings them in line', async () => {
    const store = await mountAtWall([ArrangeBench], { wall: 'cafe' })
    await press('All')
    await expect.poll(() => document.querySelector('[aria-label="Arrays on this wall"]')).not.toBeNull()
    await press('Duplicate array')
    await fill('Array name', 'Specials')
    await fill('Clearance between arrays', '300')
    await says('[data-finding=arrays-close]', 'the minimum between arrays on this wall is 300 mm')
    await press('Align left edges')
    await says('[data-finding=arrays-overlap]', 'overlap by')
    store.undo()
    await press('Mirror array')
    expect(store.wall!.arrays.map(({ name }) => name)).toContain('Specials')
    await press('Delete array')
    expect(document.querySelectorAll('[aria-label="Arrays on this wall"] > li')).toHaveLength(1)
  })

  it('stops an array that lies over what must stay clear', async () => {
    await mountAtWall([ArrangeBench])
    await fill('From wall left', '4600')
    await says('[data-finding=array-over-opening]', 'covers a door by')
    await fill('Height above floor', '300')
    await fill('From wall left', '2960')
    await says('[data-finding=array-over-reachable]', 'the outlet that must stay accessible')
    expect(said('[data-finding=array-over-opening]')).toBe('')
  })
})

describe('Arrange, from nothing', () => {
  it('arranges a grid in the middle, at eye height, and a row of turned displays, from nothing', async () => {
    await mountAtWall([ArrangeBench], { site: 'stennick', wall: 'departures-row', change: bare(6000, 3200) })
    await press('Add display array')
    await choose('Display', 'kelda-55z')
    await fillAll({ 'Rows': '3', 'Columns': '3', 'Horizontal gap': '0.8', 'Vertical gap': '0.8' })
    await choose('Horizontal position', 'wall-centre')
    await choose('Vertical position', 'eye both')
    expect(cells().outline.width).toBeCloseTo(3 * 1210.4 + 1.6, 6)
    expect(cells().outline.y + cells().outline.height / 2).toBeCloseTo(1400, 6)
    expect(cells().imageGap.x).toBeCloseTo(0.44 + 0.8 + 0.44, 6)
    await choose('Display', 'firth-49s')
    await fillAll({ 'Rows': '1', 'Columns': '4', 'Horizontal gap': '40' })
    await choose('Orientation', 'portrait-cw')
    expect(cells().cells).toHaveLength(4)
    expect(cells().outline.width).toBeCloseTo(4 * 638.6 + 120, 6)
  })

  it('hangs unlike displays in one row, in line by their pictures', async () => {
    await mountAtWall([ArrangeBench], { site: 'stennick', wall: 'departures-row', change: bare(6000, 2600) })
    await press('Add display array')
    await choose('Display', 'firth-43s')
    await fill('Columns', '2')
    await fill('Horizontal gap', '30')
    await choose('Layout', 'picture-bottom')
    await press('Screen')
    await expect.poll(() => document.body.textContent).toContain('Add at end')
    await press('Add at end')
    await choose('Display', 'marram-86q')
    await press('R1 C1')
    await choose('Orientation', 'portrait-ccw')
    const [a, b, c] = cells().cells
    for (const { picture } of cells().cells) expect(picture.y).toBeCloseTo(a!.picture.y, 6)
    expect(b!.outer.x - a!.outer.x - a!.outer.width).toBeCloseTo(30, 6)
    expect(c!.outer.x - b!.outer.x - b!.outer.width).toBeCloseTo(30, 6)
    expect([a!.outer.width, c!.outer.width]).toEqual([559, 1931])
    expect(said('[data-finding=cell-of-another-pitch]')).not.toBe('')
    expect([...document.querySelectorAll('button')].map(textOf)).toContainEqual(expect.stringMatching(/^Seam to R1 C2/))
  })

  it('says what a mount cannot carry', async () => {
    const store = await mountAtWall([ArrangeBench], { wall: 'cafe' })
    const before = store.wall
    await choose('Display', 'firth-75h')
    await expect.poll(alerts).toContainEqual(expect.stringMatching(/carries at most \d+ kg; .* weighs \d+/))
    expect(store.wall).toBe(before)
  })
})

describe('Arrange, screen by screen', () => {
  const key = (key: string, ctrlKey = false) => runByKey(new KeyboardEvent('keydown', { key, ctrlKey }))

  it('chooses a screen, turns it and leaves it out by keys; one on its side does not fit its cell', async () => {
    const store = await mountAtWall([ArrangeBench])
    await press('Screen')
    await expect.poll(() => document.querySelector('[aria-label=Screens]')).not.toBeNull()
    for (const pressed of ['ArrowRight', 'ArrowRight', 'ArrowDown']) key(pressed, true)
    await expect.poll(() => document.body.textContent).toContain('No screen here')
    key('r')
    await expect.poll(() => field('Orientation').value).toBe('inverted')
    await fireEvent.click(field('No screen here'))
    await expect.poll(() => cells().cells).toHaveLength(8)
    await press('Reset to array')
    await expect.poll(() => cells().cells).toHaveLength(9)
    store.undo()
    expect(array().cells).toEqual([{ row: 2, column: 2, empty: true, orientation: 'inverted' }])
    await fireEvent.click(field('No screen here'))
    await choose('Orientation', 'portrait-cw')
    const told = '576.2 × 1021.4 mm; the other screens of the grid are 1021.4 × 576.2 mm'
    await says('[data-finding=cell-of-another-size]', told)
  })
})

describe('Arrange, by alternatives', () => {
  it('keeps alternatives side by side, compares them, and one is chosen', async () => {
    const store = await mountAtWall([ArrangeBench, AlternativesView])
    await press('All')
    await expect.poll(() => [...document.querySelectorAll('button')].map(textOf)).toContain('Add alternative')
    await press('Add alternative')
    await press('Array')
    await fill('Columns', '2')
    await press('All')
    await expect.poll(() => document.querySelector('[data-alternative^=b]')).not.toBeNull()
    await fireEvent.change(field('Name of alternative B'), { target: { value: 'Narrow' } })
    await says('[data-finding=alternative-open]', 'has not chosen one yet')
    await press('Compare')
    await says('[data-way^=a]', 'Screens9')
    await says('[data-way^=b]', 'Screens6')
    expect(said('[data-way^=b]')).toContain('Size2043.4 × 1729.8 mm')
    expect(said('[data-way^=b]')).toContain('Holes24')
    const of = (id: string) => document.querySelector<HTMLElement>(`[data-alternative^=${id}]`)!
    await press('Choose', of('a'))
    await says('[data-finding=alternative-open]', 'chose “A”, but this plan is “Narrow”')
    await press('Show', of('a'))
    await expect.poll(() => said('[data-finding=alternative-open]')).toBe('')
    const [a, b] = store.wall!.alternatives!.map(({ id }) => id)
    const arrays = [{ columns: 3, alternative: a }, { columns: 2, alternative: b }]
    const alternatives = [{ id: a, name: 'A' }, { id: b, name: 'Narrow' }]
    expect(store.wall).toMatchObject({ alternative: a, chosen: a, arrays, alternatives })
  })
})
