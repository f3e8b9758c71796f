import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import { linearSolver } from '../../cli/solver'
import { cases } from '../../tests/fixtures/soak'
import { alignOf, entry, posesOf, read, trueJob } from '../../tests/fixtures/trueJob'
import type { Job } from '../job'
import type { EntryOf, LogEntry } from '../log'
import { contextOf, planWall } from '../plan'
import { chance } from '../survey/simulatedReadings'
import { textToString } from '../units'
import { after, movedBy, stepOf, trueScreens, unreadGaps, type Alignment, type LinearSolver } from './index'

let solve: LinearSolver
beforeAll(async () => { solve = await linearSolver() })

type Gap = NonNullable<EntryOf<'seams'>['gaps']>[number]
const gap = (a: string, b: string, end: Gap['end'], mm: number): Gap => ({ between: [a, b], end, mm })
const seams = (gaps: Gap[], n = 1): LogEntry => entry(n, 'seams', { array: 'a1', round: n, gaps })
const told = ({ moves }: Alignment) =>
  moves.map(({ screen, adjuster, mm }) => `${screen} ${adjuster} ${+mm.toFixed(6)}`)
const screensOf = (job: Job) => {
  const [wall] = job.walls
  const [plan] = planWall(wall!, contextOf(job)).arrays
  return trueScreens(wall!.arrays[0]!, plan!, job.catalogue, new Map())
}
const close = (job: Job) => { job.walls[0]!.arrays[0]!.gap = { x: 0.6, y: 0.6 } }

describe('what one reading asks for', () => {
  it('is a slide of 1.2 and nothing else, where one end of a seam is 1.8 and is to be 0.6', () => {
    const job = trueJob(2, 2, close)
    const found = alignOf(solve, job, [seams([gap('r1c1', 'r1c2', 'top', 1.8)])])
    expect(found.moves.map(({ adjuster, mm }) => [adjuster, Math.abs(+mm.toFixed(6))])).toEqual([['lateral', 1.2]])
    expect([found.closes, +found.predicted[0]!.after.toFixed(6)]).toEqual([true, 0.6])
  })

  it('drives no gap below nothing that was not read, and opens none where another way is as short', () => {
    const job = trueJob(1, 3, close)
    // The middle screen could go left as well: that would open the gap beside it.
    const apart = alignOf(solve, job, [seams([gap('r1c1', 'r1c2', 'top', 1.8), gap('r1c1', 'r1c2', 'bottom', 1.8)])])
    expect(told(apart)).toEqual(['r1c1 lateral 1.2'])
    // Too tight: to go right it would come against the third; the first goes left.
    const tight = alignOf(solve, job, [seams([gap('r1c1', 'r1c2', 'top', 0), gap('r1c1', 'r1c2', 'bottom', 0)])])
    expect(told(tight)).toEqual(['r1c1 lateral -0.6'])
  })
})

describe('the turns that are told', () => {
  it('are the eighths next to the exact answer, or say why not; what was not read stays open', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 10_000 }), fc.integer({ min: 1, max: 8 }), (seed, few) => {
      const rng = chance(seed)
      const job = trueJob(2, 3, close)
      const { gaps = [] } = read(posesOf(2, 3, rng, 1), 2, 3, () => rng.off(0.1))
      const some = gaps
        .map(each => ({ ...each, mm: Math.max(0, each.mm - 1.4) }))
        .filter((_, n) => (n * 7 + seed) % few === 0)
      const log = [seams(some)]
      if (alignOf(solve, job, log).again.length > 0) return
      const [rounded, exact] = [alignOf(solve, job, log), alignOf(solve, job, log, true)]
      const screens = screensOf(job)
      const made = movedBy(new Map(rounded.moves.map(({ screen, adjuster, mm }) => [`${screen} ${adjuster}`, mm])))
      const best = movedBy(new Map(exact.moves.map(({ screen, adjuster, mm }) => [`${screen} ${adjuster}`, mm])))
      for (const { screen, adjuster, mm, why } of rounded.moves) {
        const travel = screens.find(({ name }) => name === screen)!.travels.find(each => each.adjuster === adjuster)!
        const told = stepOf(travel)
        expect(Math.abs(mm / told - Math.round(mm / told))).toBeLessThan(1e-6)
        if (!why) expect(Math.abs(mm - best(screen, adjuster))).toBeLessThanOrEqual(told / 2 + 1e-6)
      }
      const unread = unreadGaps(rounded.predicted.map(({ reading }) => reading), [], screens, { x: 0.6, y: 0.6 })
      for (const reading of unread) expect(after(reading, made)).toBeGreaterThanOrEqual(-1e-6)
      expect(unread.length + some.length).toBe(14)
    }), { numRuns: cases(20) })
  })

  it('close only where every figure that is shown is within the tolerance that is shown', () => {
    fc.assert(fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
      const rng = chance(seed)
      const job = trueJob(2, 2)
      const poses = posesOf(2, 2, rng, 1)
      const round = (n: number) =>
        entry(n, 'seams', { array: 'a1', round: n, ...read(poses, 2, 2, () => rng.off(0.15)) })
      const found = alignOf(solve, job, [round(1), round(2)])
      const worst = Math.max(found.after.gap, found.after.step)
      expect(found.closes).toBe(worst <= found.target.tolerance + 1e-6)
    }), { numRuns: cases(20) })
  })
})

describe('a reading that cannot be believed', () => {
  const job = trueJob(2, 2, close)
  const typed = [gap('r1c1', 'r1c2', 'top', 18), gap('r1c1', 'r1c2', 'bottom', 0.4)]
  it('is asked for again before anything is turned: 18 beside 0.4', () => {
    const found = alignOf(solve, job, [seams(typed)])
    expect(found.closes).toBe(false)
    expect(found.again).toMatchObject([{ kind: 'gap', between: ['r1c1', 'r1c2'], end: 'top' }])
    expect(textToString(found.again[0]!.why, 'metric')).toContain('differs by 17.6 mm from the other end of its seam')
  })

  it('is taken where it is read the same again, and forgotten where it was a slip', () => {
    const confirmed = alignOf(solve, job, [seams(typed), seams(typed, 2)])
    expect([confirmed.again, confirmed.moves.length > 0]).toEqual([[], true])
    const slip = alignOf(solve, job, [seams(typed), seams([{ ...typed[0]!, mm: 0.8 }, typed[1]!], 2)])
    expect([slip.again, slip.closes]).toEqual([[], true])
  })
})
