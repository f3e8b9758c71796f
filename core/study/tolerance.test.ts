import { describe, expect, it } from 'vitest'
import { shareThatCloses, study, wilson, type Causes, type StudiedWall } from './tolerance'

const NOTHING: Causes = { marking: 0, drilling: 0, slack: 0, size: 0 }
const pair = (change: Partial<StudiedWall> = {}): StudiedWall => ({ rows: 1, columns: 2, gap: { x: 2, y: 2 }, travel: { x: 0, y: 0 }, tolerance: 1, ...change })
const TRIALS = 100_000

describe('the study of tolerances', () => {
  it('gives for two screens what the error function gives: erf(1/2) running, erf(1/√2) from mark to mark', () => {
    const running = shareThatCloses(pair(), 'running', { ...NOTHING, marking: 1 }, TRIALS, 1)
    const walked = shareThatCloses(pair(), 'mark-to-mark', { ...NOTHING, marking: 1 }, TRIALS, 2)
    for (const [{ p, low, high }, exact] of [[running, 0.5204999], [walked, 0.6826895]] as const) {
      expect(Math.abs(p - exact)).toBeLessThan(4 * Math.sqrt(exact * (1 - exact) / TRIALS))
      expect(high - low).toBeCloseTo(2 * 1.96 * Math.sqrt(p * (1 - p) / TRIALS), 3)
    }
  })

  it('gives for cases alone what two even sizes give: P(|δ₁ + δ₂|/2 ≤ t) = 1 − (1 − t/s)²', () => {
    const { p } = shareThatCloses(pair({ tolerance: 0.3 }), 'running', { ...NOTHING, size: 1 }, TRIALS, 3)
    expect(p).toBeCloseTo(1 - 0.7 ** 2, 2)
  })

  it('has no gap below zero, and closes whatever the travel takes up', () => {
    // A gap of 0.2 may grow by 1 and shrink by 0.2: erf parts of N(0, √2).
    const { p } = shareThatCloses(pair({ gap: { x: 0.2, y: 0.2 } }), 'running', { ...NOTHING, marking: 1 }, TRIALS, 4)
    expect(p).toBeCloseTo(0.5205 / 2 + 0.1125 / 2, 2)
    expect(shareThatCloses(pair({ travel: { x: 10, y: 10 } }), 'running', { marking: 1, drilling: 1, slack: 1, size: 0.4 }, 2_000, 5).p).toBe(1)
    expect(shareThatCloses(pair(), 'running', NOTHING, 100, 6)).toMatchObject({ p: 1 })
  })

  it('is the same for the same seed, never worse without a cause or with more travel, and ranks what costs most', () => {
    const wall: StudiedWall = { rows: 3, columns: 3, gap: { x: 2, y: 2 }, travel: { x: 1.5, y: 1.5 }, tolerance: 0.5 }
    const causes: Causes = { marking: 1.5, drilling: 0.5, slack: 0.5, size: 0.1 }
    const found = study(wall, causes, 4_000, 7)
    expect(study(wall, causes, 4_000, 7)).toEqual(found)
    expect(found.causes[0]!.cause).toBe('marking')
    for (const { p } of found.causes) expect(p).toBeGreaterThanOrEqual(found.running.low)
    expect(shareThatCloses({ ...wall, travel: { x: 3, y: 3 } }, 'running', causes, 4_000, 7).p).toBeGreaterThanOrEqual(found.running.p)
    // From mark to mark neighbours fit better, so that more seams close though the last plate walks off.
    expect(found.markToMark.p).toBeGreaterThan(found.running.low)
  })

  it('tells how sure a share is', () => {
    const { p, low, high } = wilson(50, 100)
    expect([p, low, high]).toEqual([0.5, expect.closeTo(0.4038, 3), expect.closeTo(0.5962, 3)])
    expect([wilson(0, 10).low, wilson(10, 10).high]).toEqual([0, expect.closeTo(1, 12)])
  })
})
