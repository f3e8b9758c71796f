import { linearRegression } from 'simple-statistics'
import type { Point } from '../geometry'
import type { EntryOf } from '../log'

/** How far off its targets an array was when it was read, mm. */
export interface ReadAt { entry: string, at: string, by: string, gap: number, step: number }

/** How one end of a seam has changed since it was handed over, mm: positive where it opened. */
export interface SeamDrift { label: string, reads: 'gap' | 'step', then: number, now: number, by: number }

/** How an array has moved since it was handed over. */
export interface Drift {
  readings: ReadAt[]
  /**
   * How much the worst gap and the worst step change a year, mm; absent where two readings a month apart are not at
   * hand.
   */
  trend?: { gap: number, step: number }
  seams: SeamDrift[]
}

const DAY = 86_400_000
const YEAR = 365.25 * DAY
/** A trend of less than this is chance of the gauge, ms. */
const LEAST = 30 * DAY
const said = (name: string) => name.toUpperCase().replace('C', ' C')

/**
 * How an array's seams have moved: every reading of them from when it was handed over, the change of each end since
 * then, and the straight line through the worst of each reading by least squares.
 *
 * @param seams readings of the array, in order
 * @param from when it was handed over; all readings count where it was not
 */
export function driftOf(seams: EntryOf<'seams'>[], target: Point, from?: string): Drift {
  // What it was handed over with is the last reading before; what was read while it was trued is none of its life.
  const before = seams.findLast(({ at }) => from === undefined || Date.parse(at) <= Date.parse(from))
  const after = seams.filter(({ at }) => from !== undefined && Date.parse(at) > Date.parse(from))
  const all = before ? [before, ...after] : after
  const targetOf = (end: string) => end === 'top' || end === 'bottom' ? target.x : target.y
  const readings = all.map(({ id, at, by, gaps = [], steps = [] }): ReadAt => ({
    entry: id,
    at,
    by,
    gap: Math.max(0, ...gaps.map(({ end, mm }) => Math.abs(mm - targetOf(end)))),
    step: Math.max(0, ...steps.map(({ mm }) => Math.abs(mm))),
  }))
  const [first, last] = [all[0], all.at(-1)]
  const lasts = first && last ? Date.parse(last.at) - Date.parse(first.at) : 0
  const slope = (of: (reading: ReadAt) => number) =>
    linearRegression(readings.map(reading => [(Date.parse(reading.at) - Date.parse(first!.at)) / YEAR, of(reading)])).m
  return {
    readings,
    ...lasts >= LEAST && { trend: { gap: slope(({ gap }) => gap), step: slope(({ step }) => step) } },
    seams: !first || first === last
      ? []
      : (['gap', 'step'] as const).flatMap((reads) => {
          const listOf = (entry: EntryOf<'seams'>) => (reads === 'gap' ? entry.gaps : entry.steps) ?? []
          return listOf(last!).flatMap((now): SeamDrift[] => {
            const then = listOf(first).find(
              ({ between, end }) => end === now.end && between.join() === now.between.join(),
            )
            return then
              ? [
                  {
                    label: `${now.between.map(said).join(' | ')}, ${now.end}`,
                    reads,
                    then: then.mm,
                    now: now.mm,
                    by: now.mm - then.mm,
                  },
                ]
              : []
          })
        }).sort((a, b) => Math.abs(b.by) - Math.abs(a.by)),
  }
}
