import type { Finding } from '../finding'
import type { LogEntry } from '../job'
import type { ArrayPlan, Hole, Position } from '../mount'
import { words } from '../units'

/** One hole to make, in the order of the work. */
export interface HoleStep { hole: Hole, position: Position, label: string }

/** What became of a hole: the newest entry about it. */
export type Drilled = Pick<LogEntry, 'result' | 'note' | 'by' | 'at' | 'x' | 'y'>

/** Moving a plan by more than this away from a hole already made is worth a word, mm. */
const MOVED = 1

/** Every hole of a wall in the order of drilling: along each height from the top down, left to right. */
export function holeSteps(arrays: ArrayPlan[]): HoleStep[] {
  return arrays
    .flatMap(({ positions }) => positions.flatMap(position => (position.holes ?? []).map(hole => ({
      hole,
      position,
      label: `R${position.row} C${position.column} ${hole.row} ${hole.rank}`,
    }))))
    .sort((a, b) => Math.round((b.hole.y - a.hole.y) * 10) || a.hole.x - b.hole.x)
}

/** By hole: the newest of its entries in the log. */
export function drilledHoles(log: LogEntry[], wall: string): Map<string, Drilled> {
  const newest = new Map<string, Drilled>()
  for (const entry of log) {
    if (entry.wall !== wall) continue
    const before = newest.get(entry.hole)
    if (!before || Date.parse(before.at) <= Date.parse(entry.at)) newest.set(entry.hole, entry)
  }
  return newest
}

/** What the log says against the plan: holes that missed, and holes that the plan has moved away from. */
export function hangFindings(arrays: ArrayPlan[], drilled: Map<string, Drilled>): Finding[] {
  return holeSteps(arrays).flatMap(({ hole, label }): Finding[] => {
    const done = drilled.get(hole.id)
    if (!done) return []
    const moved = Math.hypot(done.x - hole.x, done.y - hole.y)
    return [
      ...done.result === 'miss'
        ? [{
          severity: 'stop', code: 'hole-missed', stage: 'hang', subject: { kind: 'hole', id: hole.id },
          message: words`${label} at ${done.x} missed: ${done.note || 'no note'}.`,
          remedy: words`Leave it empty and find the member before drilling beside it.`,
        } satisfies Finding]
        : [],
      ...moved > MOVED
        ? [{
          severity: 'caution', code: 'hole-left-behind', stage: 'hang', subject: { kind: 'hole', id: hole.id },
          message: words`${label} was drilled ${moved} away from where the plan now puts it.`,
        } satisfies Finding]
        : [],
    ]
  })
}
