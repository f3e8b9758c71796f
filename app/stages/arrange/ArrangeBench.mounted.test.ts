import { describe, expect, it } from 'vitest'
import { arrange } from '~~/core/arrange'
import { useWallStore } from '~/stores/wall'
import { alerts, choose, escape, field, fill, mountAtWall, press, said, says } from '~~/tests/fixtures/mounted'
import ArrangeBench from './ArrangeBench.vue'

const array = (n = 0) => useWallStore().wall!.arrays[n]!
const cells = () => arrange(array(), useWallStore().catalogue.displays, useWallStore().wall!)!

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
    ] as const) {
      await fill(label, typed)
      await expect.poll(alerts).toContainEqual(expect.stringContaining(told))
      expect([field(label).value, field(label).getAttribute('aria-invalid')]).toEqual([typed, 'true'])
      escape(label)
      await expect.poll(() => field(label).getAttribute('aria-invalid')).toBe('false')
    }
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
      expect([array().orientation, [outer.width, outer.height], Math.round((picture.x - outer.x) * 10) / 10]).toEqual([choice, size, left])
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
