import type { LogEntry, Wall } from '../job'

/** A hole as it was made: which of the plan's it was, where it is, and what the drill met there. */
export type MadeHole = Pick<LogEntry, 'hole' | 'x' | 'y' | 'result' | 'by' | 'at' | 'note'> & { entry: string }

/** What stands on a wall by its log. */
export interface AsBuilt { holes: MadeHole[] }

export const NOTHING_BUILT: AsBuilt = { holes: [] }

/** Entries about a hole at places nearer to each other than this are about one hole in the wall, mm. */
const ONE_PLACE = 1

/** Whether two places are one hole in the wall. */
export const isAt = (a: { x: number, y: number }, b: { x: number, y: number }): boolean => Math.hypot(a.x - b.x, a.y - b.y) <= ONE_PLACE

/**
 * What follows from the log of a wall. Entries hold in the order in which they arrived, whatever the clocks of those
 * who made them said: of several about one hole the last holds. An entry that was sent again is one entry. A hole
 * that was drilled again beside its first place is two holes in the wall.
 *
 * @param log in the order of arrival
 */
export function asBuilt(log: LogEntry[], wall: string): AsBuilt {
  const seen = new Set<string>()
  const byHole = new Map<string, MadeHole[]>()
  for (const { id, hole, x, y, result, by, at, note, wall: of } of log) {
    if (of !== wall || seen.has(id)) continue
    seen.add(id)
    const made: MadeHole = { hole, x, y, result, by, at, ...note !== undefined && { note }, entry: id }
    const known = byHole.get(hole) ?? []
    byHole.set(hole, [...known.filter(other => !isAt(other, made)), made])
  }
  return { holes: [...byHole.values()].flat() }
}

/** A wall with what drilling told of its framing: a hole that met nothing is a pilot hole that missed. */
export function withDrilled(wall: Wall, { holes }: AsBuilt): Wall {
  const missed = holes.filter(({ result }) => result === 'miss')
  if (missed.length === 0) return wall
  return { ...wall, evidence: [...wall.evidence ?? [], ...missed.map(({ entry, x, y, by, at }) => ({ id: `drilled-${entry}`, method: 'pilot' as const, hit: false, x, y, by, at }))] }
}
