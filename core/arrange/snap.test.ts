import fc from 'fast-check'
import { expect, it } from 'vitest'
import { blockWall, studWall } from '../../tests/fixtures/walls'
import { fitCoursing } from '../survey'
import { snap, snapLines } from './snap'

const outline = { x: 1000, y: 500, width: 1000, height: 600 }
const labels = (rect: typeof outline, wall = studWall([]), reach = 10) =>
  snap(
    rect,
    snapLines(wall, [{ name: 'Notices', outline: { x: 4000, y: 900, width: 500, height: 400 } }], [{ centre: 812 }]),
    reach,
  ).met.map(({ label, at }) => `${label} ${at}`)

it('brings an edge or the middle to the nearest line on each axis', () => {
  // The wall is 6000 wide: its middle at 3000, the outline's middle 4 off it; nothing near its height.
  expect(snap({ ...outline, x: 2504 }, snapLines(studWall([]), [], []), 10)).toEqual({
    dx: -4,
    dy: 0,
    met: [{ axis: 'x', at: 3000, label: 'centre of the wall' }],
  })
  expect(labels({ ...outline, x: 3502, y: 703 })).toEqual(['Notices 4000', 'Notices 1300'])
  expect(labels({ ...outline, x: 815, y: 480 })).toEqual(['stud 1 812'])
  expect(labels({ ...outline, y: 480 })).toEqual([])
})

it('knows features and the joints of a block wall', () => {
  const wall = blockWall([
    { method: 'joint', direction: 'head', x: 240, y: 300 },
    { method: 'joint', direction: 'bed', x: 240, y: 400 },
  ])
  const lines = snapLines(
    { ...wall, features: [{ id: 'd', kind: 'data-plate', x: 1003, y: 100, width: 76, height: 120 }] },
    [],
    [],
    fitCoursing(wall),
  )
  expect(
    lines.x
      .filter(({ label }) => label === 'joint')
      .map(({ at }) => Math.round(at))
      .slice(0, 3),
  ).toEqual([40, 240, 440])
  expect(
    lines.y
      .filter(({ label }) => label === 'joint')
      .every(({ at }) => Math.abs(at % 200) < 1e-6 || Math.abs((at % 200) - 200) < 1e-6),
  ).toBe(true)
  expect(snap(outline, { x: lines.x.filter(({ label }) => label === 'data plate'), y: [] }, 5).dx).toBe(3)
})

it('never moves farther than its reach, and meets the line that it names', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -500, max: 6000 }),
      fc.array(fc.integer({ min: 0, max: 6000 }), { maxLength: 8 }),
      fc.integer({ min: 1, max: 60 }),
      (x, places, reach) => {
        const { dx, met } = snap({ ...outline, x }, { x: places.map(at => ({ at, label: '' })), y: [] }, reach)
        expect(Math.abs(dx)).toBeLessThan(reach)
        for (const { at } of met)
          expect([x, x + 500, x + 1000].some(edge => Math.abs(edge + dx - at) < 1e-9)).toBe(true)
        if (met.length === 0)
          expect(places.some(at => [x, x + 500, x + 1000].some(edge => Math.abs(edge - at) < reach))).toBe(false)
      },
    ),
  )
})
