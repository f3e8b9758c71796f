import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { box, boxedWall } from '../../../tests/fixtures/boxed'
import { cases } from '../../../tests/fixtures/soak'
import type { Job } from '../../job'
import { textToString } from '../../units'
import { cutoutAt } from './place'

describe('a box', () => {
  it('goes behind its display, in a bay, beside the plate, and never over a member', () => {
    const { plan, boxes, said } = boxedWall(
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
    } = boxedWall([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'], x: 2300, y: 2100 }])
    expect([put!.x, put!.y, put!.held]).toEqual([2300, 2100, false])
    expect(said[0]![1]).toContain('its cut-out is not behind R1 C1 and clear of the studs')
    expect(said[0]![2]).toBe(
      `It fits at ${textToString([{ mm: put!.nearest!.x }], 'metric')} from wall left and `
      + `${textToString([{ mm: put!.nearest!.y }], 'metric')} above floor.`,
    )
    expect(boxedWall([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'], ...put!.nearest! }]).said).toEqual([])
  })

  it('of a kit has its lower end under the upper one, in the same bay, its top in line with the outlet', () => {
    const {
      boxes: [lower, upper],
      said,
    } = boxedWall([
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
    const { said } = boxedWall([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'] }], change)
    expect(said.map(([code]) => code)).toEqual(['box-no-place'])
    expect(said[0]![1]).toMatch(words)
  })

  it('of the surface kind needs no bay: on concrete it goes behind its display', () => {
    const { said, boxes } = boxedWall([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'] }], (job) => {
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
    const { boxes: [good] } = boxedWall([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'] }])
    fc.assert(
      fc.property(
        fc.double({ min: 1500, max: 2700, noNaN: true }),
        fc.double({ min: 1600, max: 2300, noNaN: true }),
        (x, y) => {
          const {
            plan,
            boxes: [put],
            said,
          } = boxedWall([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'], x, y }], (job) => {
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
              boxedWall([{ id: 'b1', kind: 'power', model: 'p1', for: ['a1-r1c1'], ...put!.nearest }], (job) => {
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
