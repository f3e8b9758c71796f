import fc from 'fast-check'
import { expect, it } from 'vitest'
import type { Wall } from '~~/core/job'
import { exampleWall } from '~~/tests/fixtures/job'
import { emptyHistory, recorded, redone, undone } from './history'

const change = fc.record({
  key: fc.constantFrom('width', 'height', 'gapX', 'name'),
  value: fc.integer({ min: 1, max: 9_000 }),
})
function changed(wall: Wall, { key, value }: { key: string, value: number }): Wall {
  const next = structuredClone(wall)
  if (key === 'gapX') next.arrays[0]!.gap.x = value
  else Object.assign(next, { [key]: key === 'name' ? `Wall ${value}` : value })
  return next
}

it('gives back every wall on the way, and the last one again', () => {
  fc.assert(fc.property(fc.array(change, { maxLength: 12 }), (changes) => {
    const walls = [exampleWall()]
    let history = emptyHistory()
    for (const edit of changes) {
      walls.push(changed(walls.at(-1)!, edit))
      history = recorded(history, { label: edit.key, before: walls.at(-2)!, after: walls.at(-1)! })
    }
    let wall = walls.at(-1)!
    for (const expected of walls.slice(0, -1).reverse()) {
      const step = undone(history, wall)!
      ;({ now: wall, history } = step)
      expect(wall).toEqual(expected)
    }
    expect(undone(history, wall)).toBeUndefined()
    for (const expected of walls.slice(1)) {
      ({ now: wall, history } = redone(history, wall)!)
      expect(wall).toEqual(expected)
    }
    expect(redone(history, wall)).toBeUndefined()
  }))
})

it('leaves what somebody else changed since', () => {
  const [before, after] = [exampleWall(), changed(exampleWall(), { key: 'width', value: 7000 })]
  const history = recorded(emptyHistory(), { label: 'Wall width', before, after })
  const theirs = changed(after, { key: 'height', value: 3500 })
  expect(undone(history, theirs)!.now).toMatchObject({ width: 6200, height: 3500 })
})
