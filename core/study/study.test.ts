import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { exampleJob } from '../../tests/fixtures/job'
import { contextOf, planWall } from '../plan'
import { chance } from '../survey/simulatedReadings'
import {
  draw, linesOf, studiedArray, study, trialOf, wilson, type Causes, type StudiedScreen, type StudiedWall,
} from './index'
import { cases } from '../../tests/fixtures/soak'

const NOTHING: Causes = { marking: 0, drilling: 0, slack: 0, size: 0, faces: 0 }
const still = { least: 0, most: 0 }
const reach = (by: number) => ({ least: -by, most: by })
/** A grid of screens that are all alike. */
function grid(
  rows: number,
  columns: number,
  screen: Partial<StudiedScreen> = {},
  { gap = { x: 2, y: 2 }, tolerance = 1 }: Partial<StudiedWall> = {},
): StudiedWall {
  return {
    screens: Array.from({ length: rows * columns }, (_, n) => ({
      row: 1 + Math.floor(n / columns),
      column: 1 + (n % columns),
      x: still,
      y: still,
      depth: still,
      size: 0,
      ...screen,
    })),
    gap,
    tolerance,
  }
}
const TRIALS = 100_000

describe('the study of tolerances', () => {
  it('gives for two screens what the error function gives: erf(1/2) running, erf(1/√2) from mark to mark', () => {
    const { running, markToMark } = study(grid(1, 2), { ...NOTHING, marking: 1 }, { trials: TRIALS, seed: 1 })
    for (const [{ p, low, high }, exact] of [[running, 0.5204999], [markToMark, 0.6826895]] as const) {
      expect(Math.abs(p - exact)).toBeLessThan(4 * Math.sqrt(exact * (1 - exact) / TRIALS))
      expect(high - low).toBeCloseTo(2 * 1.96 * Math.sqrt(p * (1 - p) / TRIALS), 3)
    }
  })

  it('gives for cases alone what two even sizes give: P(|δ₁ + δ₂|/2 ≤ t) = 1 − (1 − t/s)²', () => {
    expect(
      study(grid(1, 2, { size: 1 }, { tolerance: 0.3 }), { ...NOTHING, size: 1 }, { trials: TRIALS, seed: 3 }).running
        .p,
    ).toBeCloseTo(1 - 0.7 ** 2, 2)
  })

  it('gives for two faces what the normal law gives: one surveyed 1 mm out, each read to 1 mm, within 1 mm', () => {
    const wall = grid(1, 2, { face: { out: 0, sigma: 1 } })
    wall.screens[1]!.face = { out: 1, sigma: 1 }
    // Their difference is N(1, √2): Φ(0) − Φ(−2/√2) = 0.5 − 0.0786.
    expect(study(wall, { ...NOTHING, faces: 1 }, { trials: TRIALS, seed: 5 }).running.p).toBeCloseTo(0.4214, 2)
    expect(
      study(
        grid(1, 2, { depth: reach(4), face: { out: 0, sigma: 1 } }),
        { ...NOTHING, faces: 1 },
        { trials: 5_000, seed: 5 },
      ).running.p,
    ).toBe(1)
  })

  it('has no case over another, and closes whatever the travel takes up', () => {
    // A gap of 0.2 may grow by 1 and shrink by 0.2: erf parts of N(0, √2).
    expect(
      study(grid(1, 2, {}, { gap: { x: 0.2, y: 0.2 } }), { ...NOTHING, marking: 1 }, { trials: TRIALS, seed: 4 })
        .running.p,
    ).toBeCloseTo(0.5205 / 2 + 0.1125 / 2, 2)
    expect(
      study(
        grid(2, 2, { x: reach(10), y: reach(10), size: 0.4 }),
        { ...NOTHING, marking: 1, drilling: 1, slack: 1, size: 1 },
        { trials: 2_000, seed: 5 },
      ).running.p,
    ).toBe(1)
    expect(study(grid(3, 3), NOTHING, { trials: 100, seed: 6 }).running.p).toBe(1)
  })

  it('finds the least that the worst seam can be brought to, as going round every constraint of the wall does', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 2, max: 4 }),
        (seed, rows, columns) => {
          const rng = chance(seed)
          const wall = grid(rows, columns)
          for (const screen of wall.screens)
            Object.assign(screen, {
              x: { least: -rng.between(0, 2), most: rng.between(0, 2) },
              y: { least: -rng.between(0, 2), most: rng.between(0, 2) },
              depth: reach(rng.between(0, 1)),
              size: rng.between(0, 1),
              face: { out: rng.off(2), sigma: 1 },
            })
          const causes: Causes = { marking: 1.5, drilling: 0.7, slack: 1, size: 1, faces: 1 }
          const drawn = draw(wall.screens.length, rng)
          const { worst } = trialOf(wall)(drawn, 'running', causes)
          /**
           * Whether all seams can be within t: edges u → v of weight w say p_v − p_u ≤ w, and no way round is negative
           * (Bellman and Ford).
           */
          const canBe = (t: number) =>
            (['x', 'y', 'depth'] as const).every((axis, k) => {
              const count = wall.screens.length
              const edges: [number, number, number][] = []
              wall.screens.forEach((a, i) => {
                const at
                  = axis === 'depth'
                    ? a.face!.out + a.face!.sigma * drawn.face[i]!
                    : causes.marking * drawn.marking[k]![i]!
                      + causes.drilling * drawn.drilling[k]![i]!
                      + causes.slack * drawn.slack[k]![i]!
                edges.push([count, i, at + a[axis].most], [i, count, -(at + a[axis].least)])
                wall.screens.forEach((b, j) => {
                  const right = b.row === a.row && b.column === a.column + 1
                  const above = b.column === a.column && b.row === a.row - 1
                  if (!(axis === 'x' ? right : axis === 'y' ? above : right || above)) return
                  const longer = axis === 'depth' ? 0 : (a.size * drawn.size[k]![i]! + b.size * drawn.size[k]![j]!) / 2
                  edges.push([i, j, longer + t], [j, i, t - longer])
                })
              })
              const far = Array.from({ length: count + 1 }, () => 0)
              for (let sweep = 0; sweep <= count + 1; sweep++) {
                let changed = false
                for (const [u, v, w] of edges) {
                  if (far[u]! + w < far[v]! - 1e-12) {
                    far[v] = far[u]! + w
                    changed = true
                  }
                }
                if (!changed) return true
              }
              return false
            })
          expect(canBe(worst + 1e-9)).toBe(true)
          if (worst > 1e-6) expect(canBe(worst - 1e-6)).toBe(false)
        },
      ),
      { numRuns: cases(200) },
    )
  })

  it('is the same for the same seed, never worse without a cause or with more travel, and ranks what costs most', () => {
    const wall = grid(3, 3, { x: reach(1.5), y: reach(1.5), size: 0.1 }, { tolerance: 0.5 })
    const causes: Causes = { marking: 1.5, drilling: 0.5, slack: 0.5, size: 1, faces: 1 }
    const found = study(wall, causes, { trials: 4_000, seed: 7 })
    expect(study(wall, causes, { trials: 4_000, seed: 7 })).toEqual(found)
    expect(found.causes[0]!.cause).toBe('marking')
    for (const { p } of found.causes) expect(p).toBeGreaterThanOrEqual(found.running.low)
    expect(found.changes.find(({ change }) => change === 'travel')!.p).toBeGreaterThan(found.running.p)
    // From mark to mark neighbours fit better, so that more seams close though the last plate walks off.
    expect(found.markToMark.p).toBeGreaterThan(found.running.low)
    // Every wall is counted once, and those within the tolerance are the share that closes.
    const { width, running } = found.spread
    expect(running.reduce((sum, n) => sum + n, 0)).toBe(4_000)
    expect(
      running.slice(0, Math.floor(wall.tolerance / width)).reduce((sum, n) => sum + n, 0) / 4_000,
    ).toBeLessThanOrEqual(found.running.p + 1e-9)
  })

  it('tells the travel that would close nineteen walls of twenty: with it they close, with less they do not', () => {
    const causes: Causes = { marking: 1.5, drilling: 0.5, slack: 1, size: 1, faces: 1 }
    const wall = grid(2, 3, { size: 0.4, face: { out: 0, sigma: 1 } }, { tolerance: 0.3 })
    const { needs } = study(wall, causes, { trials: 8_000, seed: 9 })
    const closes = (share: number) => {
      const screens = wall.screens.map(screen => ({
        ...screen,
        x: reach(needs.x * share),
        y: reach(needs.y * share),
        depth: reach(needs.depth * share),
      }))
      return study({ ...wall, screens }, causes, { trials: 8_000, seed: 9 }).running.p
    }
    // Each axis by itself is enough for 95 of 100: all three together for about 86.
    expect(closes(1)).toBeGreaterThan(0.83)
    expect(closes(1)).toBeLessThan(0.93)
    expect(closes(0.8)).toBeLessThan(closes(1))
  })

  it('tells how far it is, and how sure a share is', () => {
    const told: number[] = []
    study(grid(1, 2), NOTHING, { trials: 2_000, seed: 1 }, 'running', share => told.push(share))
    expect(told).toEqual([0.25, 0.5, 0.75, 1])
    const { p, low, high } = wilson(50, 100)
    expect([p, low, high]).toEqual([0.5, expect.closeTo(0.4038, 3), expect.closeTo(0.5962, 3)])
    expect([wilson(0, 10).low, wilson(10, 10).high]).toEqual([0, expect.closeTo(1, 12)])
  })

  it('goes along rows and columns, and no line over a place without a screen', () => {
    const places = [[1, 1], [1, 2], [1, 4], [1, 5], [2, 1]].map(([row, column]) => ({ row: row!, column: column! }))
    expect(linesOf(places)).toEqual({ rows: [[0, 1], [2, 3]], columns: [[0, 4]] })
  })
})

describe('an array as the study sees it', () => {
  const of = (change: (job: ReturnType<typeof exampleJob>) => void) => {
    const job = exampleJob()
    change(job)
    const [wall] = job.walls
    return studiedArray(wall!.arrays[0]!, planWall(wall!, contextOf(job)).arrays[0]!, wall!, job.catalogue, job.rules)
  }

  it('has the travel that its plates leave, and what its sheets and the survey of its face say', () => {
    const { wall, causes, notKnown } = of(({ catalogue: { displays: [display] }, walls: [wall] }) => {
      display!.sizeTolerance = 0.4
      wall!.arrays[0]!.plates = [{ row: 1, column: 1, lateralShift: 15 }]
      wall!.surface = [
        { x: 500, y: 500, distance: 100 },
        { x: 5500, y: 500, distance: 96 },
        { x: 3000, y: 2500, distance: 100 },
        { x: 3000, y: 1500, distance: 99 },
      ].map((at, n) => ({ id: `s${n}`, ...at }))
    })
    const first = wall.screens.find(({ row, column }) => row === 1 && column === 1)!
    expect(first.x).toEqual({ least: -30, most: 60 })
    expect([first.size, causes.marking, notKnown]).toEqual([0.4, 1, []])
    expect(wall.screens.every(({ face }) => face !== undefined && face.sigma > 0)).toBe(true)
  })

  it('says what is not known', () => {
    expect(
      of(
        ({
          catalogue: {
            displays: [display],
          },
        }) => {
          delete display!.sizeTolerance
        },
      ).notKnown,
    ).toEqual(['size', 'faces'])
  })
})
