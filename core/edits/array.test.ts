import { describe, expect, it } from 'vitest'
import { exampleWall } from '../../tests/fixtures/job'
import { survey } from '../survey'
import { arrayOf, editFraming, editMember, holdPlace, setGrid, setPlate } from './index'

describe('what is decided for a plate', () => {
  it('is kept once for each plate, in order, and none leaves no entry', () => {
    const wall = exampleWall()
    setPlate(wall, 'a1', 2, 1, { lateralShift: 5, reason: 'a pipe' })
    setPlate(wall, 'a1', 1, 3, { lateralShift: 0 })
    setPlate(wall, 'a1', 2, 1, { lateralShift: 7 })
    expect(wall.arrays[0]!.plates).toEqual([
      { row: 1, column: 3, lateralShift: 0 },
      { row: 2, column: 1, lateralShift: 7, reason: 'a pipe' },
    ])
    setPlate(wall, 'a1', 1, 3, { lateralShift: undefined })
    setPlate(wall, 'a1', 2, 1, { lateralShift: undefined })
    expect(wall.arrays[0]).not.toHaveProperty('plates')
  })

  it('of an array that is gone is an error', () => {
    expect(() => setPlate(exampleWall(), 'a9', 1, 1, { lateralShift: 5 })).toThrow('no array a9')
    expect(arrayOf(exampleWall(), 'a1').name).toBe('Departures')
  })
})

describe('a grid’s size', () => {
  it('takes decisions about plates that are no longer there with it', () => {
    const wall = exampleWall()
    setPlate(wall, 'a1', 1, 1, { lateralShift: 5 })
    setPlate(wall, 'a1', 2, 3, { lateralShift: 6 })
    setGrid(wall.arrays[0]!, 2, 2)
    expect(wall.arrays[0]).toMatchObject({ rows: 2, columns: 2, plates: [{ row: 1, column: 1, lateralShift: 5 }] })
    setPlate(wall, 'a1', 1, 1, { lateralShift: undefined })
    setGrid(wall.arrays[0]!, 1, 1)
    expect(wall.arrays[0]).not.toHaveProperty('plates')
  })
})

it('lets go of what an array follows, one axis at a time, and leaves it where it lies', () => {
  const wall = exampleWall()
  const array = wall.arrays[0]!
  array.follows = { x: { rule: 'wall-centre' }, y: { rule: 'eye', value: 1600 } }
  holdPlace(wall, array, 'x')
  expect([array.at.x, array.follows]).toEqual([{ edge: 'centre', value: 3100 }, { y: { rule: 'eye', value: 1600 } }])
  holdPlace(wall, array, 'y')
  expect(array.at.y).toEqual({ edge: 'centre', value: 1600 })
  expect(array).not.toHaveProperty('follows')
})

it('keeps members from left to right, each under the id that it has had from the first', () => {
  const wall = exampleWall()
  wall.structure.members!.reverse()
  const [first] = survey(wall).members
  expect(first).toMatchObject({ centre: 1900, id: 'k6' })
  editFraming(wall, members => [...members, { id: 'k7', centre: 1500, width: 38 }])
  editMember(wall, first!.id, { centre: 1910 })
  expect(wall.structure.members!.map(({ centre }) => centre)).toEqual([1500, 1910, 2300, 2900, 3300, 3950, 4350])
  expect(survey(wall).members.slice(0, 2).map(({ id }) => id)).toEqual(['k7', 'k6'])
})
