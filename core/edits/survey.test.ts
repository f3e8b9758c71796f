import { describe, expect, it } from 'vitest'
import { wallFaults, itemName } from '../job'
import { exampleJob, exampleWall } from '../../tests/fixtures/job'
import {
  addFeature, addReadings, BUILD_UPS, FEATURE_KINDS, moveLayer, readingOf, setBuildUp, setFramingKnown,
} from './index'

describe('readings', () => {
  it('are added with ids of their own, whose they are, and when', () => {
    const wall = exampleWall()
    addReadings(
      wall,
      [
        { method: 'magnet', x: 1, y: 2 },
        { method: 'knock', x: 3, y: 4, dull: true },
      ],
      'Isla Brand',
      '2026-05-11T09:00:00Z',
    )
    addReadings(wall, [{ method: 'seen', x: 5, y: 6 }], '', '2026-05-11T09:05:00Z')
    const [first, second, third] = wall.evidence!.map(({ id }) => id)
    expect([first, second, third].map(id => itemName({ id: id! }))).toEqual(['e1 (new)', 'e2 (new)', 'e3 (new)'])
    expect(wall.evidence).toEqual([
      { id: first, method: 'magnet', x: 1, y: 2, by: 'Isla Brand', at: '2026-05-11T09:00:00Z' },
      { id: second, method: 'knock', x: 3, y: 4, dull: true, by: 'Isla Brand', at: '2026-05-11T09:00:00Z' },
      { id: third, method: 'seen', x: 5, y: 6, at: '2026-05-11T09:05:00Z' },
    ])
    expect(readingOf(wall, second!).x).toBe(3)
    expect(() => readingOf(wall, 'e9')).toThrow('no reading e9')
  })
})

describe('framing', () => {
  it('is taken as known to a tenth of a millimetre, and given back to the readings', () => {
    const wall = exampleWall()
    setFramingKnown(wall, true, [{ id: 'm-e1', centre: 1200.037, width: 38 }])
    expect(wall.structure.members).toEqual([{ id: 'm-e1', centre: 1200, width: 38 }])
    setFramingKnown(wall, false, [])
    expect(wall.structure).not.toHaveProperty('members')
  })
})

describe('build-ups and features', () => {
  it.each(BUILD_UPS.map(({ name }) => name))('“%s” is a wall that can be kept', (name) => {
    const { catalogue } = exampleJob()
    const wall = { ...exampleWall(), arrays: [] }
    setBuildUp(wall, name)
    expect(wallFaults(wall, catalogue)).toEqual([])
    expect(wall.covering).not.toBe(BUILD_UPS.find(preset => preset.name === name)!.covering)
  })

  it('leave what was surveyed', () => {
    const wall = exampleWall()
    wall.structure.spacing = 610
    const members = wall.structure.members
    setBuildUp(wall, 'Plasterboard on steel studs')
    expect(wall.structure).toMatchObject({ kind: 'steel-stud', spacing: 610, members })
    setBuildUp(wall, 'no such wall')
    expect(wall.structure.kind).toBe('steel-stud')
  })

  it('move a layer to another place', () => {
    const wall = { ...exampleWall(), covering: ['a', 'b', 'c'].map(material => ({ material, thickness: 1 })) }
    moveLayer(wall, 2, 0)
    expect(wall.covering.map(({ material }) => material)).toEqual(['c', 'a', 'b'])
  })

  it('add features that are kept, and within reach where they must be', () => {
    const wall = exampleWall()
    for (const { kind, width, height } of FEATURE_KINDS) addFeature(wall, kind, { x: 0, y: 0, width, height })
    expect(wallFaults(wall, exampleJob().catalogue)).toEqual([])
    expect(wall.features!.find(({ kind }) => kind === 'switch')).toMatchObject({ keepReachable: true })
    expect(wall.features!.find(({ kind }) => kind === 'pipe')).not.toHaveProperty('keepReachable')
  })
})
