import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boxedWall } from '../../../tests/fixtures/boxed'
import { studs } from '../../../tests/fixtures/job'
import { cases } from '../../../tests/fixtures/soak'
import type { Point } from '../../geometry'
import type { Job } from '../../job'
import { nearestPlace, type Obstacle } from './place'
import type { Room } from './boxRooms'
import { placeTogether } from './together'

describe('boxes of one screen', () => {
  type Sought = { wanted: Point, size: { width: number, height: number }, kind: string }
  /** The places of two boxes for every choice of a room for each, the one and the other placed first. */
  function everyAnswer(boxes: Sought[], rooms: Room[], obstacles: Obstacle[], own: boolean) {
    const answers: (Point | undefined)[][] = []
    const areUnlike = boxes[0]!.kind !== boxes[1]!.kind
    const about = ({ x, y }: Point, { width, height }: Sought['size']): Obstacle =>
      ({ x: x - width / 2 - 10, y: y - height / 2 - 10, width: width + 20, height: height + 20, name: 'first' })
    const placed = (n: number, room: Room, among: Obstacle[]) =>
      nearestPlace(boxes[n]!.wanted, boxes[n]!.size, [room], among)
    for (const [a, b] of [[0, 1], [1, 0]] as const) {
      for (const roomA of [undefined, ...rooms]) {
        for (const roomB of [undefined, ...rooms]) {
          if (own && areUnlike && roomA && roomA === roomB) continue
          const first = roomA && placed(a, roomA, obstacles)
          const among = first ? [...obstacles, about(first, boxes[a]!.size)] : obstacles
          const second = roomB && placed(b, roomB, among)
          if (!roomA !== !first || !roomB !== !second) continue
          answers.push(a === 0 ? [first, second] : [second, first])
        }
      }
    }
    return answers
  }

  it('are placed together: as many as any choice of rooms would, and then as near as can be', () => {
    const rect = (size: number) =>
      fc.record({
        x: fc.integer({ min: 0, max: 300 }),
        y: fc.integer({ min: 0, max: 300 }),
        width: fc.integer({ min: 20, max: size }),
        height: fc.integer({ min: 20, max: size }),
      })
    const seeking = fc.record({
      size: fc.record({ width: fc.integer({ min: 20, max: 60 }), height: fc.integer({ min: 20, max: 60 }) }),
      kind: fc.constantFrom('power' as const, 'signal' as const),
      wanted: fc.record({ x: fc.integer({ min: 0, max: 400 }), y: fc.integer({ min: 0, max: 400 }) }),
    })
    fc.assert(
      fc.property(
        fc.array(rect(140), { minLength: 1, maxLength: 3 }),
        fc.array(rect(60), { maxLength: 3 }),
        fc.array(seeking, { minLength: 2, maxLength: 2 }),
        (spaces, things, boxes) => {
          const rooms = spaces.map((space, bay) => ({ ...space, bay }))
          const obstacles = things.map(thing => ({ ...thing, name: 't' }))
          const found = placeTogether(
            boxes.map(each => ({ ...each, rooms, obstacles: [] })),
            obstacles,
            { power: new Set(), signal: new Set() },
            { ownBays: true, apart: 50 },
          )
          const far = (list: typeof found) =>
            list.reduce(
              (sum, at, n) => sum + (at ? Math.hypot(at.x - boxes[n]!.wanted.x, at.y - boxes[n]!.wanted.y) : 0),
              0,
            )
          // Every choice of a room for each, the first placed first and the second placed first.
          const answers: (typeof found)[] = []
          for (const own of [true, false]) {
            answers.push(...everyAnswer(boxes, rooms, obstacles, own))
            // Only where fewer are placed with bays of their own is that given up.
            if (answers.some(each => each.every(at => at !== undefined))) break
          }
          const count = (list: typeof found) => list.filter(at => at !== undefined).length
          const most = Math.max(...answers.map(count))
          expect(count(found)).toBe(most)
          const least = Math.min(...answers.filter(each => count(each) === most).map(far))
          expect(far(found)).toBeLessThanOrEqual(least + 1e-6)
        },
      ),
      { numRuns: cases(200) },
    )
  })

  it('are a kit’s upper and lower one in a bay where both have a place', () => {
    // Before the bay that the upper one would be in stands a duct down to the floor, where the lower box would be.
    const narrow = (job: Job) =>
      void (job.walls[0]!.structure.members = studs(1600, 1900, 2300, 2900, 3300, 3950, 4350))
    const {
      boxes: [upper, lower],
    } = boxedWall(
      [
        { id: 'u', kind: 'kit-upper', model: 'p1', for: ['a1-r1c1'] },
        { id: 'l', kind: 'kit-lower', model: 'p1', for: ['a1-r1c1'] },
      ],
      narrow,
    )
    const {
      boxes: [moved, below],
      said,
    } = boxedWall(
      [
        { id: 'u', kind: 'kit-upper', model: 'p1', for: ['a1-r1c1'] },
        { id: 'l', kind: 'kit-lower', model: 'p1', for: ['a1-r1c1'] },
      ],
      (job) => {
        narrow(job)
        job.walls[0]!.features!.push({ id: 'd', kind: 'duct', x: upper!.x - 150, y: 0, width: 300, height: 600 })
      },
    )
    expect([upper!.held, lower!.held, moved!.held, below!.held]).toEqual([true, true, true, true])
    expect(moved!.bay).toEqual(below!.bay)
    expect([moved!.bay[0] === upper!.bay[0], said.map(([code]) => code)]).toEqual([false, ['kit-without-outlet']])
  })
})
