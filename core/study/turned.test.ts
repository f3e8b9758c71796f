import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { cases } from '../../tests/fixtures/soak'
import { contextOf, planWall } from '../plan'
import { trueScreens } from '../true'
import { studiedArray, study, type Causes } from './index'
import { planeOff, turningOf, type Hung } from './turned'

/** The example as the study sees it, 2 × 3, its mounts turned by eighths of 1.25 mm. */
function studied(change: (job: ReturnType<typeof exampleJob>) => void = () => {}) {
  const job = exampleJob()
  const [mount, display] = [job.catalogue.mounts[0]!, job.catalogue.displays[0]!]
  Object.assign(mount, {
    adjust: { lateral: 45, height: 12, depth: 8, roll: 1.5 },
    turning: { heightPerTurn: 1.25, span: 380 },
  })
  display.sizeTolerance = 0.4
  change(job)
  const [wall] = job.walls
  const plan = planWall(wall!, contextOf(job)).arrays[0]!
  return { job, plan, ...studiedArray(wall!.arrays[0]!, plan, wall!, job.catalogue, job.rules) }
}
const example = studied()
const shareOf = (causes: Partial<Causes>) =>
  study(example.wall, { ...example.causes, ...causes }, { trials: 200, seed: 1 }).running.p

describe('a wall that a crew trues in two rounds', () => {
  it('has the gaps that the corners of its cases leave', () => {
    const { job, plan } = example
    const screens = trueScreens(job.walls[0]!.arrays[0]!, plan, job.catalogue, new Map())
    const turning = turningOf(
      screens,
      screens.map(() => 1),
      { x: 0.6, y: 0.6 },
      false,
    )
    const mm = (most: number) => fc.double({ min: -most, max: most, noNaN: true })
    const each = (most: number) =>
      fc.array(mm(most), { minLength: 6, maxLength: 6 }).map(found => Float64Array.from(found))
    const drawn = fc.record({ x: each(3), y: each(3), long: each(0.5), tall: each(0.5), rack: each(1), roll: each(1) })
    fc.assert(
      fc.property(drawn, (found) => {
        const hung: Hung = { ...found, out: new Float64Array(6) }
        const off = new Float64Array(turning.plane.rows.length)
        planeOff(turning, hung, off)
        /** A point of a case by where it is hung: racked, grown, rolled by a small angle, and put aside. */
        const at = (n: number, side: number, up: number) => {
          const { width, height } = screens[n]!
          const [x, y] = [
            (side * (width + hung.long[n]!)) / 2 + (hung.rack[n]! * up) / 2,
            (up * (height + hung.tall[n]!)) / 2,
          ]
          const angle = hung.roll[n]! / width
          return { x: hung.x[n]! + x - angle * y, y: hung.y[n]! + y + angle * x }
        }
        turning.plane.rows.forEach(({ a, b, upright, ay, ax }, n) => {
          const [{ width, height }, sign] = [screens[a]!, Math.sign(upright ? ay : ax)]
          const gap = upright
            ? width + at(b, -1, sign).x - at(a, 1, sign).x
            : height + at(a, sign, -1).y - at(b, sign, 1).y
          // Angles of a millimetre in half a metre: what their products leave out is far below a gauge.
          expect(off[n]!).toBeCloseTo(gap, 1)
        })
      }),
      { numRuns: cases(100) },
    )
  })
})

describe('what a study of a trued wall tells', () => {
  it('closes where nothing slips and the gauge is exact, and the less often the more it does', () => {
    expect(shareOf({ squareness: 0, slip: 0, gauge: 0 })).toBeGreaterThan(0.97)
    const slipping = [0, 0.05, 0.1, 0.2].map(slip => shareOf({ squareness: 0, slip }))
    expect(slipping).toEqual([...slipping].sort((a, b) => b - a))
    expect(slipping[3]!).toBeLessThan(0.2)
    expect(shareOf({ gauge: 0.3 })).toBeLessThan(shareOf({ gauge: 0.05 }))
  })

  it('without any adjuster is as it was hung: two even sizes, P = 1 − (1 − t/s)²', () => {
    const { wall, causes } = studied((job) => {
      job.catalogue.mounts[0]!.adjust = {}
      Object.assign(job.walls[0]!.arrays[0]!, { rows: 1, columns: 2, gap: { x: 2, y: 2 } })
      job.catalogue.displays[0]!.sizeTolerance = 1
      job.rules = { seamTolerance: 0.3 }
    })
    const only: Causes = { ...causes, marking: 0, drilling: 0, slack: 0, squareness: 0 }
    expect(study(wall, only, { trials: 20_000, seed: 3 }).running.p).toBeCloseTo(1 - 0.7 ** 2, 1)
    // Racked cases gape at one end: fewer are within tolerance.
    expect(study(wall, { ...only, squareness: 1 }, { trials: 20_000, seed: 3 }).running.p).toBeLessThan(0.45)
  })

  it('tells what fails most often, and a sheet that says 0 means 0', () => {
    const { wall, causes } = studied()
    const found = study(wall, causes, { trials: 300, seed: 1 })
    expect(found.causes[0]!.cause).toBe('slip')
    // What nineteen of twenty end within is what a tolerance would have to be.
    const share = study({ ...wall, tolerance: found.within }, causes, { trials: 300, seed: 1 }).running.p
    expect(share).toBeGreaterThan(found.running.p)
    const exact = studied((job) => {
      job.catalogue.displays[0]!.sizeTolerance = 0
    })
    expect(exact.wall.turning!.screens.map(({ square }) => square)).toEqual([0, 0, 0, 0, 0, 0])
    const unknown = studied((job) => {
      delete job.catalogue.displays[0]!.sizeTolerance
    })
    expect(unknown.wall.turning!.screens[0]!.square).toBe(0.5)
  })
})
