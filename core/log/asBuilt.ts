import { STAGES, type Finding, type Stage } from '../finding'
import { hasBacking, type Wall } from '../job'
import { clockFindings } from './clocks'
import type { EntryOf, LogEntry } from './entry'
import {
  LOG_KINDS,
  nothingStanding,
  settledHoles,
  type DisputedHole,
  type MadeHole,
  type Override,
  type Standing,
  type StepDone,
} from './kinds'
import { lastIssued, type Issued } from './issued'

/** What stands on a wall by its log. */
export interface AsBuilt {
  /** Every hole in the wall about which nobody contradicts another. */
  holes: MadeHole[]
  /** Those of them that can take no fastener. */
  dead: MadeHole[]
  /** What holes were before they were filled and drilled again in their place. */
  filled: MadeHole[]
  /** Holes of which people say unlike things: not counted as drilled until one is withdrawn. */
  disputed: DisputedHole[]
  /** Holes in which steel was met, and looked at since. */
  checked: string[]
  /** Ids of the screens that hang. */
  hung: string[]
  /** What was said last of each step of the work. */
  steps: StepDone[]
  /** What was read last of the seams of each array. */
  seams: EntryOf<'seams'>[]
  overrides: Override[]
  /** What was issued last of its mark-out, where what was frozen then is at hand. */
  issued?: Issued
  /** Findings about the clocks by which entries were made. */
  findings: Finding[]
}

export const NOTHING_BUILT: AsBuilt = {
  holes: [],
  dead: [],
  filled: [],
  disputed: [],
  checked: [],
  hung: [],
  steps: [],
  seams: [],
  overrides: [],
  findings: [],
}

/** The ids by which entries name a wall. */
export type WallName = Pick<Wall, 'id' | 'formerId'>
/** A wall by its names, with what was frozen of it. */
export type WallRecord = WallName & Pick<Wall, 'revisions'>

/** What the kind of an entry does with it. */
const specOf = ({ kind }: LogEntry) => LOG_KINDS[kind] as {
  closes?: Stage
  cancels?: (entry: LogEntry) => string
  fold?: (now: Standing, entry: LogEntry) => void
}

/** The stage that the log of a wall closed last; absent where it closed none. */
export function closedStage(log: LogEntry[]): Stage | undefined {
  const closed = log.flatMap(entry => specOf(entry).closes ?? [])
  return STAGES.findLast(stage => closed.includes(stage))
}

/** The entries of a wall that hold, in the order of arrival: each once, and none that a later one corrects. */
export function standing(log: LogEntry[], { id, formerId = id }: WallName): LogEntry[] {
  const seen = new Set<string>()
  const once = log.filter(
    entry => (entry.wall === id || entry.wall === formerId) && !seen.has(entry.id) && seen.add(entry.id),
  )
  const corrected = new Set<string>()
  // From the last to the first: a correction that was itself corrected corrects nothing.
  return once.reverse().filter((entry) => {
    if (corrected.has(entry.id)) return false
    const cancels = specOf(entry).cancels?.(entry)
    if (cancels !== undefined) corrected.add(cancels)
    return true
  }).reverse()
}

/** Entries of one kind. */
export const ofKind = <Kind extends LogEntry['kind']>(entries: LogEntry[], kind: Kind) =>
  entries.filter((entry): entry is EntryOf<Kind> => entry.kind === kind)

/**
 * What follows from the log of a wall. Entries hold in the order in which they arrived, whatever the clocks of those
 * who made them said: of several about one hole the last holds. An entry that was sent again is one entry. A hole
 * that was drilled again beside its first place is two holes in the wall.
 *
 * @param log in the order of arrival
 */
export function asBuilt(log: LogEntry[], wall: WallRecord): AsBuilt {
  const entries = standing(log, wall)
  const now = nothingStanding()
  for (const entry of entries) specOf(entry).fold?.(now, entry)
  const { holes, disputed } = settledHoles(now)
  const issued = lastIssued(now.issued, wall.revisions)
  return {
    holes,
    dead: holes.filter(({ result }) => result !== 'hit'),
    filled: now.filled,
    disputed,
    checked: [...now.checked],
    hung: [...now.hung],
    steps: [...now.steps.values()],
    seams: [...now.seams.values()],
    overrides: [...now.overrides.values()],
    ...issued && { issued },
    findings: clockFindings(entries, wall.id),
  }
}

/** Whether what the drill met shows that a member is there, or that none is; a result that shows neither is absent. */
const MET: Partial<Record<MadeHole['result'], boolean>> = { hit: true, stripped: true, miss: false, void: false }

/** A wall with what drilling told of its framing: each hole is a pilot hole at its own height. */
export function withDrilled(wall: Wall, { holes }: Pick<AsBuilt, 'holes'>): Wall {
  const drilled = holes.flatMap(({ entry, x, y, by, at, result }) => {
    const hit = MET[result]
    // Over a backing a bit meets wood or steel wherever it goes: that says nothing of a stud.
    if (hit === undefined || (hit && hasBacking(wall))) return []
    return [{ id: `drilled-${entry}`, method: 'pilot' as const, hit, x, y, by, at }]
  })
  return drilled.length === 0 ? wall : { ...wall, evidence: [...wall.evidence ?? [], ...drilled] }
}
