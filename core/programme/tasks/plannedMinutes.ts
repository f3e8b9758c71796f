import type { WorkKind } from './kinds'
import type { Sample } from './workload'

/** What a piece of some work at a wall was to take by a schedule that was published, min, and since when that holds. */
export interface PlannedMinutes { kind: WorkKind, minutes: number, since: string }

/**
 * What some work took, with what each of its pieces was planned to take by then; without where nothing of it had been
 * published.
 */
export type ComparedSample = Sample & { planned?: number }

/**
 * What work at a wall took beside what people had been told that it would: the figure of the schedule that was
 * published last when it was recorded. What came later does not count, so that a plan is never measured by itself.
 *
 * @param published what was published of the same wall
 *
 * @example
 * withPlanned(
 *   [{ sort: 'hang', kind: 'hang', pieces: 1, minutes: 24, at: '2026-11-20T10:00:00Z' }],
 *   [{ kind: 'hang', minutes: 18, since: '2026-11-16T07:00:00Z' },
 *    { kind: 'hang', minutes: 22, since: '2026-11-23T07:00:00Z' }],
 * ) // planned: 18
 */
export function withPlanned(samples: Sample[], published: PlannedMinutes[]): ComparedSample[] {
  const inOrder = [...published].sort((a, b) => Date.parse(a.since) - Date.parse(b.since))
  return samples.map((sample) => {
    const then = inOrder.findLast(
      ({ kind, since }) => kind === sample.kind && Date.parse(since) <= Date.parse(sample.at),
    )
    return then ? { ...sample, planned: then.minutes } : sample
  })
}
