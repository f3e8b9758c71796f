import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob, exampleWall, studs } from '../../../tests/fixtures/job'
import type { Point } from '../../geometry'
import type { BoxModel, Job, Wall } from '../../job'
import { planWall } from '../../plan'
import { textToString } from '../../units'
import { baysOf } from '../bays'
import { cutoutAt, inTheWay, nearestPlace, type Obstacle } from './place'
import type { Room } from './boxRooms'
import { placeTogether } from './together'
import { cases } from '../../../tests/fixtures/soak'

const box: BoxModel = {
  id: 'p1',
  kind: 'power',
  cutout: { width: 70, height: 108 },
  depth: 62,
  clamps: { min: 6, max: 32 },
}
/** The example job with boxes, planned; what is said of its wiring too. */
function wired(boxes: Wall['boxes'], change: (job: Job) => void = () => {}) {
  const job = exampleJob()
  job.catalogue.boxes = [structuredClone(box)]
  job.walls[0]!.boxes = boxes
  change(job)
  const plan = planWall(job.walls[0]!, job)
  return {
    plan,
    boxes: plan.wiring.boxes,
    said: plan.findings
      .filter(({ stage, severity, code }) => stage === 'wire' && severity === 'stop' && code !== 'no-power-source')
      .map(({ code, message, remedy }) => [
        code,
        textToString(message, 'metric'),
        remedy ? textToString(remedy, 'metric') : '',
      ]),
  }
}

describe('a bay', () => {
  it('is what lies between two members, 10 mm clear of each: studs of 38 at 400 and 800 leave 429 to 771', () => {
    const wall = { ...exampleWall(), structure: { ...exampleWall().structure, members: studs(400, 800) } }
    const members = planWall(wall, exampleJob()).members
    expect(baysOf(wall, members).map(({ from, to, left, right }) => [from, to, left, right])).toEqual([
      [10, 371, undefined, 0],
      [429, 771, 0, 1],
      [829, 6190, 1, undefined],
    ])
    // A member known to ± 6 mm is kept clear of by 1.645 × 6 more on either side.
    expect(
      baysOf(
        wall,
        members.map(member => ({ ...member, sd: 6 })),
      )[1],
    ).toMatchObject({ from: 429 + 9.87, to: 771 - 9.87 })
    expect(baysOf({ ...wall, structure: { kind: 'concrete' } }, members)).toEqual([])
  })
})

describe('the nearest place', () => {
  const rect = fc.record({
    x: fc.integer({ min: 0, max: 60 }),
    y: fc.integer({ min: 0, max: 60 }),
    width: fc.integer({ min: 1, max: 30 }),
    height: fc.integer({ min: 1, max: 30 }),
  })
  it('is as near as any on a fine grid, clear of everything, and is missing only where the grid has none', () => {
    fc.assert(
      fc.property(
        fc.array(rect, { minLength: 1, maxLength: 3 }),
        fc.array(rect, { maxLength: 4 }),
        fc.record({ x: fc.integer({ min: 0, max: 90 }), y: fc.integer({ min: 0, max: 90 }) }),
        fc.constantFrom({ width: 4, height: 6 }, { width: 10, height: 10 }),
        (rooms, rects, wanted, size) => {
          const obstacles: Obstacle[] = rects.map((each, n) => ({ ...each, name: `o${n}` }))
          const clear = (x: number, y: number) =>
            rooms.some(
              room =>
                x - size.width / 2 >= room.x
                && x + size.width / 2 <= room.x + room.width
                && y - size.height / 2 >= room.y
                && y + size.height / 2 <= room.y + room.height,
            )
            && rects.every(
              each =>
                x + size.width / 2 <= each.x
                || x - size.width / 2 >= each.x + each.width
                || y + size.height / 2 <= each.y
                || y - size.height / 2 >= each.y + each.height,
            )
          let least = Infinity
          for (let x = 0; x <= 90; x++)
            for (let y = 0; y <= 90; y++)
              if (clear(x, y)) least = Math.min(least, Math.hypot(x - wanted.x, y - wanted.y))
          const found = nearestPlace(wanted, size, rooms, obstacles)
          expect(found === undefined).toBe(least === Infinity)
          if (!found) return
          expect(clear(found.x, found.y)).toBe(true)
          expect(Math.hypot(found.x - wanted.x, found.y - wanted.y)).toBeLessThanOrEqual(least + 1e-9)
        },
      ),
      { numRuns: cases(150) },
    )
  })

  it('touches what stands in the way and does not run into it', () => {
    expect(
      inTheWay({ x: 10, y: 10 }, { width: 4, height: 4 }, [
        { x: 12, y: 0, width: 5, height: 30, name: 'a' },
        { x: 11.9, y: 0, width: 5, height: 30, name: 'b' },
      ]).map(({ name }) => name),
    ).toEqual(['b'])
  })
})

describe('a box', () => {
  it('goes behind its display, in a bay, beside the plate, and never over a member', () => {
    const { plan, boxes, said } = wired(
      [1, 2].flatMap(row =>
        [1, 2, 3].map(column => ({
          id: `b${row}${column}`,
          kind: 'power' as const,
          model: 'p1',
          for: [`a1-r${row}c${column}`],
        })),
      ),
    )
    expect([said, boxes.map(({ held }) => held)]).toEqual([[], Array.from({ length: 6 }, () => true)])
    for (const { cutout, for: [screen] } of boxes) {
      const position = plan.arrays[0]!.positions.find(({ id }) => id === screen)!
      expect(cutout.x).toBeGreaterThanOrEqual(position.outer.x + 15)
      expect(cutout.x + cutout.width).toBeLessThanOrEqual(position.outer.x + position.outer.width - 15)
      for (const { centre, width } of plan.members)
        expect(cutout.x >= centre + width / 2 + 10 || cutout.x + cutout.width <= centre - width / 2 - 10).toBe(true)
      const { rect } = position.plate!
      expect(
        cutout.x >= rect.x + rect.width + 10
        || cutout.x + cutout.width <= rect.x - 10
        || cutout.y >= rect.y + rect.height + 10
        || cutout.y + cutout.height <= rect.y - 10,
      ).toBe(true)
    }
  })

  it('that a person puts over a member is told, with the nearest place that would do, and stays where it was put', () => {
    const {
      boxes: [put],
      said,
    } = wired([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'], x: 2300, y: 2100 }])
    expect([put!.x, put!.y, put!.held]).toEqual([2300, 2100, false])
    expect(said[0]![1]).toContain('its cut-out is not behind R1 C1 and clear of the studs')
    expect(said[0]![2]).toBe(
      `It fits at ${textToString([{ mm: put!.nearest!.x }], 'metric')} from wall left and `
      + `${textToString([{ mm: put!.nearest!.y }], 'metric')} above floor.`,
    )
    expect(wired([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'], ...put!.nearest! }]).said).toEqual([])
  })

  it('of a kit has its lower end under the upper one, in the same bay, its top in line with the outlet', () => {
    const {
      boxes: [lower, upper],
      said,
    } = wired([
      { id: 'l', kind: 'kit-lower', model: 'p1', for: ['a1-r2c1'] },
      { id: 'u', kind: 'kit-upper', model: 'p1', for: ['a1-r2c1'] },
    ])
    // Nothing is said yet of where its power comes from.
    expect(said.map(([code]) => code)).toEqual(['kit-without-outlet'])
    // The outlet's top is at 300 + 120.
    expect([lower!.x, lower!.cutout.y + lower!.cutout.height, lower!.bay]).toEqual([upper!.x, 420, upper!.bay])
  })

  it.each<[string, (job: Job) => void, RegExp]>([
    [
      'deeper than the wall',
      (job) => {
        job.walls[0]!.structure.memberDepth = 40
      },
      /is 62 mm deep, but the wall is only 52\.5 mm from its face/,
    ],
    [
      'whose clamps do not take the covering',
      (job) => {
        job.walls[0]!.covering.push({ material: 'tile', thickness: 30 })
      },
      /clamps coverings of 6 to 32 mm, but the covering is 42\.5 mm/,
    ],
    [
      'wider than any bay behind its display',
      (job) => {
        job.catalogue.boxes![0]!.cutout.width = 600
      },
      /no space behind R1 C1 that is 600 mm wide/,
    ],
    [
      'in a rated wall',
      (job) => {
        job.walls[0]!.fireRating = 60
      },
      /fire-rated/,
    ],
    [
      'in a wall without a cavity',
      (job) => {
        job.walls[0]!.structure = { kind: 'concrete', thickness: 200, strength: 28 }
      },
      /no cavity: use a surface box/,
    ],
    [
      'in a wall of unknown depth',
      (job) => {
        delete job.walls[0]!.structure.memberDepth
      },
      /not known/,
    ],
    [
      'of a screen that is not there',
      (job) => {
        job.walls[0]!.boxes![0]!.for = ['gone']
      },
      /the screen it serves does not exist/,
    ],
    [
      'where nobody read what stands behind it',
      (job) => {
        delete job.walls[0]!.structure.members
      },
      /has not been surveyed/,
    ],
    [
      'with blocking all the way',
      (job) => {
        job.walls[0]!.blocking = Array.from({ length: 20 }, (_, n) => ({ id: `k${n}`, y: 1700 + 60 * n, found: true }))
      },
      /in the way/,
    ],
  ])('%s is a stop that says so', (_, change, words) => {
    const { said } = wired([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'] }], change)
    expect(said.map(([code]) => code)).toEqual(['box-no-place'])
    expect(said[0]![1]).toMatch(words)
  })

  it('of the surface kind needs no bay: on concrete it goes behind its display', () => {
    const { said, boxes } = wired([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'] }], (job) => {
      job.walls[0]!.structure = { kind: 'concrete', thickness: 200, strength: 28 }
      Object.assign(job.catalogue.boxes![0]!, { surface: true, depth: 42 })
    })
    expect([said, boxes[0]!.held, cutoutAt(boxes[0]!, box.cutout)]).toEqual([[], true, boxes[0]!.cutout])
  })
})

describe('a box that is moved', () => {
  it('never ends over a member, a plate, a bracket or blocking unsaid', () => {
    let [held, wrong] = [0, 0]
    // Where it would be placed is among the places that are tried.
    const { boxes: [good] } = wired([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'] }])
    fc.assert(
      fc.property(
        fc.double({ min: 1500, max: 2700, noNaN: true }),
        fc.double({ min: 1600, max: 2300, noNaN: true }),
        (x, y) => {
          const {
            plan,
            boxes: [put],
            said,
          } = wired([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'], x, y }], (job) => {
            job.walls[0]!.blocking = [{ id: 'k1', y: 1900, found: true, x1: 1900, x2: 2300 }]
          })
          const { cutout } = put!
          const [a1, position] = [plan.arrays[0]!, plan.arrays[0]!.positions[0]!]
          const runsInto = (r: { x: number, y: number, width: number, height: number }) =>
            cutout.x < r.x + r.width
            && r.x < cutout.x + cutout.width
            && cutout.y < r.y + r.height
            && r.y < cutout.y + cutout.height
          const bad
            = plan.members.some(({ centre, width }) => runsInto({ x: centre - width / 2, y: 0, width, height: 3300 }))
              || a1.positions.some(
                each =>
                  runsInto(each.plate!.rect)
                  || runsInto({ x: each.pattern.x - 200, y: each.pattern.y - 200, width: 400, height: 400 }),
              )
              || runsInto({ x: 1900, y: 1881, width: 400, height: 38 })
              || cutout.x < position.outer.x
              || cutout.x + cutout.width > position.outer.x + position.outer.width
              || cutout.y < position.outer.y
              || cutout.y + cutout.height > position.outer.y + position.outer.height
          if (bad) expect([put!.held, said.map(([code]) => code)]).toEqual([false, ['box-no-place']])
          if (put!.held) held++
          else wrong++
          if (put!.nearest)
            expect(
              wired([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'], ...put!.nearest }], (job) => {
                job.walls[0]!.blocking = [{ id: 'k1', y: 1900, found: true, x1: 1900, x2: 2300 }]
              }).boxes[0]!.held,
            ).toBe(true)
        },
      ),
      { numRuns: cases(60), examples: [[good!.x, good!.y]] },
    )
    expect([held, wrong].every(count => count > 0)).toBe(true)
  })
})

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
    } = wired(
      [
        { id: 'u', kind: 'kit-upper', model: 'p1', for: ['a1-r1c1'] },
        { id: 'l', kind: 'kit-lower', model: 'p1', for: ['a1-r1c1'] },
      ],
      narrow,
    )
    const {
      boxes: [moved, below],
      said,
    } = wired(
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

describe('what is said of circuits', () => {
  const fed = (sources: Wall['sources'], change: (job: Job) => void = () => {}) => wired([], (job) => {
    job.catalogue.displays[0]!.power = { typical: 118, max: 165 }
    job.walls[0]!.sources = sources
    change(job)
  })
  it('is nothing where they bear the screens, and which screens where they do not', () => {
    expect(fed([{ id: 's1', kind: 'circuit', amps: 16, volts: 230 }]).said).toEqual([])
    const { said, plan } = fed([{ id: 's1', kind: 'circuit', name: 'B7', amps: 6, volts: 120 }])
    // 0.8 × 6 A bear three screens of 1.375 A.
    expect([plan.wiring.circuits[0]!.screens.length, said[0]![0], said[0]![1]]).toEqual([
      3,
      'circuit-full',
      expect.stringContaining('495 W'),
    ])
    expect(plan.wiring.circuits[0]!.starts.map(({ after }) => after)).toEqual([0, 1, 2])
  })

  it('is what is not known and what that holds up', () => {
    expect(fed([{ id: 's1', kind: 'circuit', volts: 230 }]).said[0]).toEqual([
      'circuit-not-known',
      'The breaker rating of circuit s1 is not known: no screen can be put on it.',
      'Read it at the panel and enter it.',
    ])
    expect(
      fed([{ id: 's1', kind: 'circuit', amps: 16, volts: 230 }], (job) => {
        delete job.catalogue.displays[0]!.power
      }).said.map(([code]) => code),
    ).toEqual(['power-not-known'])
    expect(
      fed([{ id: 's1', kind: 'outlet', feature: 'gone', amps: 16, volts: 230 }]).said.map(([code]) => code),
    ).toEqual(['source-gone'])
    expect(fed([{ id: 's1', kind: 'circuit', amps: 16, volts: 230, loaded: 14 }]).said.map(([code]) => code)).toEqual([
      'circuit-full',
      'circuit-overloaded',
    ])
    expect(wired([]).said).toEqual([])
  })
})
