import type { InferType } from 'yup'
import { authorNames } from '../author'
import type { holeSchema } from '../schemas/hole'
import type { Checked } from './checked'
import type { EntryKindSpec } from './kind'

/** Entries about a hole at places nearer to each other than this are about one hole in the wall, mm. */
const ONE_PLACE = 1
/**
 * Two people's results of one planned hole nearer to each other than this are about one hole in the wall, mm: one who
 * drilled where the plan has it and one who read the tilted level line see it at two heights. A hole that is drilled
 * anew is farther off by what it keeps from the dead one.
 */
const ONE_HOLE = 10

const apart = (a: { x: number, y: number }, b: { x: number, y: number }) => Math.hypot(a.x - b.x, a.y - b.y)
/** Whether two places are one hole in the wall. */
export const isAt = (a: { x: number, y: number }, b: { x: number, y: number }): boolean => apart(a, b) <= ONE_PLACE

/** Whether two people mean one hole in the wall, by where each has it. */
export const isOneHole = (a: { x: number, y: number }, b: { x: number, y: number }): boolean => apart(a, b) <= ONE_HOLE

type HoleEntry = InferType<typeof holeSchema>

/** A hole as it was made: which of the plan's it was, where it is, and what the drill met there. */
export interface MadeHole extends Pick<HoleEntry, 'hole' | 'x' | 'y' | 'result' | 'by' | 'sentBy' | 'at' | 'note'> {
  entry: string
}

/** A result with what tells whose it is. */
interface Result extends MadeHole { author: string, before: boolean }

/** A planned hole of which several people say unlike things, none of whom corrects another. */
export interface DisputedHole { hole: string, results: MadeHole[] }

/**
 * Results by the id of their hole in the plan, ids of the entries that later ones corrected, and results of holes that
 * were filled and drilled again in their place.
 */
export interface Holes { holes: Map<string, Result[]>, corrected: Set<string>, filled: MadeHole[] }

const plain = ({ author: _a, before: _b, ...made }: Result): MadeHole => made

const resultOf = ({
  id,
  hole,
  x,
  y,
  result,
  by,
  sentBy,
  late,
  person,
  device,
  receivedAt,
  at,
  note,
}: HoleEntry): Result => ({
  hole,
  x,
  y,
  result,
  ...authorNames({ by, sentBy, late }),
  at,
  ...(note !== undefined && { note }),
  entry: id,
  author: JSON.stringify([person ?? by, device ?? '']),
  // What a server took in before entries named their device holds as it held then: the last of a place.
  before: receivedAt !== undefined && device === undefined,
})

/** Whether a later result stands for an earlier one: it says the same, or the same person said it on one device. */
const standsFor = (later: Result, earlier: Result) =>
  isAt(later, earlier) && (later.before || later.author === earlier.author || later.result === earlier.result)

/** What the drill met at a planned hole. */
export const hole: EntryKindSpec<typeof holeSchema, Holes & Checked> = {
  title: 'drilling result',
  right: 'wall.record',
  fold({ holes, corrected, checked, filled }, entry) {
    checked.delete(entry.hole)
    if (entry.corrects !== undefined) corrected.add(entry.corrects)
    const made = resultOf(entry)
    const known = (holes.get(made.hole) ?? []).filter(({ entry: other }) => !corrected.has(other))
    filled.push(...known.filter(({ entry: other }) => other === entry.again).map(plain))
    const others = known.filter(other => other.entry !== entry.again && !standsFor(made, other))
    // Drilled again beside its first place, it is two holes in the wall.
    holes.set(made.hole, corrected.has(made.entry) ? others : [...others, made])
  },
}

const contradicts = (a: Result, b: Result) => a.result !== b.result && isOneHole(a, b) && a.author !== b.author

/** The results that stand by what was folded: those that nobody disputes, and the disputed ones, hole by hole. */
export function settledHoles({ holes }: Pick<Holes, 'holes'>): { holes: MadeHole[], disputed: DisputedHole[] } {
  const isDisputed = (result: Result, all: Result[]) => all.some(other => contradicts(result, other))
  const found = [...holes].map(([hole, all]) => ({
    hole, all, results: all.filter(result => isDisputed(result, all)),
  }))
  return {
    holes: found.flatMap(({ all, results }) => all.filter(result => !results.includes(result)).map(plain)),
    disputed: found.flatMap(({ hole, results }) => results.length > 0 ? [{ hole, results: results.map(plain) }] : []),
  }
}
