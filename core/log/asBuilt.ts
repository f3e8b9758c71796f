import type { Finding } from '../finding'
import type { Wall } from '../job'
import { clockFindings } from './clocks'
import type { EntryOf, LogEntry } from './entry'
import { lastIssued, type Issued } from './issued'

/** A hole as it was made: which of the plan's it was, where it is, and what the drill met there. */
export type MadeHole = Pick<EntryOf<'hole'>, 'hole' | 'x' | 'y' | 'result' | 'by' | 'at' | 'note'> & { entry: string }

/** A stop that a named person overrides, and why; it is a stop again once its figures have changed. */
export type Override = Pick<EntryOf<'override'>, 'code' | 'subject' | 'by' | 'reason' | 'at' | 'figures' | 'facts'>

/** What was said last of a step of the work, of a part of the kit, or of a question. */
export type StepDone = Pick<EntryOf<'step'>, 'step' | 'done' | 'by' | 'at' | 'minutes' | 'note' | 'photo'>

/** What stands on a wall by its log. */
export interface AsBuilt {
  /** Every hole in the wall. */
  holes: MadeHole[]
  /** Those of them that can take no fastener. */
  dead: MadeHole[]
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

export const NOTHING_BUILT: AsBuilt = { holes: [], dead: [], hung: [], steps: [], seams: [], overrides: [], findings: [] }

/** The ids by which entries name a wall. */
export type WallName = Pick<Wall, 'id' | 'formerId'>
/** A wall by its names, with what was frozen of it. */
export type WallRecord = WallName & Pick<Wall, 'revisions'>

/** Entries about a hole at places nearer to each other than this are about one hole in the wall, mm. */
const ONE_PLACE = 1

/** Whether two places are one hole in the wall. */
export const isAt = (a: { x: number, y: number }, b: { x: number, y: number }): boolean => Math.hypot(a.x - b.x, a.y - b.y) <= ONE_PLACE

/** The entries of a wall that hold, in the order of arrival: each once, and none that a later one corrects. */
export function standing(log: LogEntry[], { id, formerId = id }: WallName): LogEntry[] {
  const seen = new Set<string>()
  const once = log.filter(entry => (entry.wall === id || entry.wall === formerId) && !seen.has(entry.id) && seen.add(entry.id))
  const corrected = new Set<string>()
  // From the last to the first: a correction that was itself corrected corrects nothing.
  return once.reverse().filter((entry) => {
    if (corrected.has(entry.id)) return false
    if (entry.kind === 'correction') corrected.add(entry.corrects)
    return true
  }).reverse()
}

/** Entries of one kind. */
export const ofKind = <Kind extends LogEntry['kind']>(entries: LogEntry[], kind: Kind) => entries.filter((entry): entry is EntryOf<Kind> => entry.kind === kind)
const lastOf = <Item>(items: Item[], key: (item: Item) => string): Item[] => [...new Map(items.map(item => [key(item), item])).values()]

function holesOf(entries: EntryOf<'hole'>[]): MadeHole[] {
  const byHole = new Map<string, MadeHole[]>()
  for (const { id, hole, x, y, result, by, at, note } of entries) {
    const made: MadeHole = { hole, x, y, result, by, at, ...note !== undefined && { note }, entry: id }
    byHole.set(hole, [...(byHole.get(hole) ?? []).filter(other => !isAt(other, made)), made])
  }
  return [...byHole.values()].flat()
}

function overridesOf(entries: LogEntry[]): Override[] {
  const taken = new Map<string, Override>()
  for (const entry of entries) {
    if (entry.kind !== 'override' && entry.kind !== 'override-ended') continue
    const key = `${entry.code} ${entry.subject}`
    taken.delete(key)
    if (entry.kind === 'override') taken.set(key, { code: entry.code, subject: entry.subject, by: entry.by, reason: entry.reason, at: entry.at, ...entry.figures && { figures: entry.figures }, ...entry.facts && { facts: entry.facts } })
  }
  return [...taken.values()]
}

/**
 * What follows from the log of a wall. Entries hold in the order in which they arrived, whatever the clocks of those
 * who made them said: of several about one hole the last holds. An entry that was sent again is one entry. A hole
 * that was drilled again beside its first place is two holes in the wall.
 *
 * @param log in the order of arrival
 */
export function asBuilt(log: LogEntry[], wall: WallRecord): AsBuilt {
  const entries = standing(log, wall)
  const holes = holesOf(ofKind(entries, 'hole'))
  const issued = lastIssued(ofKind(entries, 'issued'), wall.revisions)
  return {
    holes,
    dead: holes.filter(({ result }) => result !== 'hit'),
    hung: [...new Set(ofKind(entries, 'hung').map(({ screen }) => screen))],
    steps: lastOf(ofKind(entries, 'step'), ({ step }) => step).map(({ step, done, by, at, minutes, note, photo }) => ({ step, done, by, at, ...minutes !== undefined && { minutes }, ...note !== undefined && { note }, ...photo !== undefined && { photo } })),
    seams: lastOf(ofKind(entries, 'seams'), ({ array }) => array),
    overrides: overridesOf(entries),
    ...issued && { issued },
    findings: clockFindings(entries, wall.id),
  }
}

/** What the drill met that shows that no member is there. */
const MET_NOTHING = new Set<MadeHole['result']>(['miss', 'void'])

/** A wall with what drilling told of its framing: a hole that met nothing is a pilot hole that missed. */
export function withDrilled(wall: Wall, { dead }: Pick<AsBuilt, 'dead'>): Wall {
  const missed = dead.filter(({ result }) => MET_NOTHING.has(result))
  if (missed.length === 0) return wall
  return { ...wall, evidence: [...wall.evidence ?? [], ...missed.map(({ entry, x, y, by, at }) => ({ id: `drilled-${entry}`, method: 'pilot' as const, hit: false, x, y, by, at }))] }
}
