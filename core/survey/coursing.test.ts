import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { blockWall, studWall } from '../../tests/fixtures/walls'
import type { Evidence } from '../job'
import { bondShift, courseAt, coursingFigure, fitCoursing, headJointsOf, jointSd } from './coursing'
import { survey } from './index'

const head = (x: number, y: number): Partial<Evidence> => ({ method: 'joint', direction: 'head', x, y })
const bed = (y: number, x = 500): Partial<Evidence> => ({ method: 'joint', direction: 'bed', x, y })
const codes = (readings: Partial<Evidence>[], block = {}) =>
  survey(blockWall(readings, block)).findings.map(({ code }) => code)
const near = (a: number, b: number, module: number) =>
  Math.abs((a - b) / module - Math.round((a - b) / module)) * module

describe('coursing', () => {
  it('is fitted to one crossing of joints', () => {
    const fitted = fitCoursing(blockWall([head(520, 1500), bed(1600)]))!
    expect(fitted).toMatchObject({ length: 400, height: 200, bond: 'running', bondTold: false, sd: { x: 2, y: 2 } })
    expect(near(fitted.origin.y, 1600, 200)).toBeCloseTo(0, 9)
    // 1500 is in an odd course below 1600, so the even courses’ joints are half a unit off.
    expect(near(fitted.origin.x + bondShift(fitted, courseAt(fitted, 1500)), 520, 400)).toBeCloseTo(0, 9)
  })

  it('comes out the same wherever its joints are read, and surer from more of them', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 399, noNaN: true }),
        fc.double({ min: 0, max: 199, noNaN: true }),
        fc.array(fc.tuple(fc.nat(10), fc.nat(8)), { minLength: 2, maxLength: 8 }),
        (x, y, cells) => {
          const readings = cells.flatMap(([column, course]) => [
            head(x + column * 400 + (course % 2) * 200, y + (course + 0.5) * 200),
            bed(y + course * 200),
          ])
          const fitted = fitCoursing(blockWall(readings))!
          expect(near(fitted.origin.y, y, 200)).toBeLessThan(1e-6)
          const [column, course] = cells[0]!
          const joint = x + column * 400 + (course % 2) * 200
          expect(
            near(fitted.origin.x + bondShift(fitted, courseAt(fitted, y + (course + 0.5) * 200)), joint, 400),
          ).toBeLessThan(1e-6)
          expect(fitted.sd.y).toBeCloseTo(2 / Math.sqrt(cells.length), 9)
        },
      ),
    )
  })

  it('tells stack bond from running bond when heads of both kinds of course were read', () => {
    const stack = [head(100, 300), head(500, 500), head(100, 700), bed(200), bed(400)]
    expect(fitCoursing(blockWall(stack))).toMatchObject({ bond: 'stack', bondTold: true })
    expect(codes(stack)).toEqual(['bond-differs'])
    // Heads in courses of one kind tell neither: it is said, and the courses between keep clear of the joints of both.
    const one = [head(100, 300), head(500, 700), bed(200)]
    expect(codes(one)).toEqual(['bond-not-told'])
    const fitted = fitCoursing(blockWall(one))!
    const spacing = (y: number) => {
      const [a, b] = headJointsOf(fitted, courseAt(fitted, y), 2000)
      return Math.round(b! - a!)
    }
    expect([spacing(300), spacing(500)]).toEqual([400, 200])
    expect(fitCoursing(blockWall([head(100, 300), head(500, 700), bed(200)]))).toMatchObject({
      bond: 'running',
      bondTold: false,
    })
  })

  it('leaves out a joint that was set aside, and says when joints do not fit one coursing', () => {
    const crossing = [head(100, 300), bed(200)]
    expect(codes([...crossing, bed(450)])).toContain('joints-disagree')
    expect(codes([...crossing, head(300, 500), { ...bed(450), setAside: 'a crack' }])).toEqual([])
  })

  it('is as entered, with a caution, where no joint was read', () => {
    expect(fitCoursing(blockWall([], { origin: { x: 120, y: 5 } }))).toMatchObject({ origin: { x: 120, y: 5 }, sd: {} })
    expect(codes([])).toEqual(['coursing-not-surveyed'])
    expect(codes([bed(200)])).toEqual(['coursing-not-surveyed'])
    expect(survey(studWall([], { structure: { kind: 'block' } })).findings.map(({ code }) => code)).toEqual([
      'coursing-unknown',
    ])
    expect(fitCoursing(studWall([]))).toBeUndefined()
  })

  it('keeps the heads where they are, wherever a bed is read', () => {
    // The crossing was entered at 120, 0: which course is the origin's follows from there, and not from the bed read.
    for (const n of [1, 2, 7, 12]) {
      const fitted = fitCoursing(blockWall([bed(n * 200 + 3)], { origin: { x: 120, y: 0 } }))!
      expect(courseAt(fitted, 100)).toBe(0)
      expect(Math.abs(fitted.origin.y - 3)).toBeLessThan(1e-6)
      expect(fitted.origin.x).toBe(120)
    }
  })

  it('learns a module that is not quite nominal from joints far apart, and is less sure away from them', () => {
    const beds = Array.from({ length: 8 }, (_, n) => bed(n * 202 + 10))
    const fitted = fitCoursing(blockWall(beds))!
    expect(fitted.height).toBeGreaterThan(201.8)
    expect(fitted.height).toBeLessThan(202)
    expect(jointSd(fitted, 'y', 4000)).toBeGreaterThan(2 * jointSd(fitted, 'y', 700))
    // What does not fit widens it.
    const rough = fitCoursing(
      blockWall(beds.map(({ y, ...rest }, n) => ({ ...rest, y: y! + (n % 2 === 0 ? 6 : -6) }))),
    )!
    expect(jointSd(rough, 'y', 700)).toBeGreaterThan(3 * jointSd(fitted, 'y', 700))
    expect(jointSd(fitCoursing(blockWall([]))!, 'y', 700)).toBe(0)
  })

  it('shows its working', () => {
    const fitted = fitCoursing(blockWall([head(100, 300), bed(200)]))!
    expect(coursingFigure(fitted, 'x')).toMatchObject({
      value: fitted.origin.x,
      working: [{ label: 'Position of a head joint' }],
    })
  })
})
