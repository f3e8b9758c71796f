import { lazy, type InferType } from 'yup'
import type { Fault } from '../job/fault'
import { isMoment } from '../job/moment'
import {
  clockTime, count, day, figure, flag, group, length, list, moment, must, name, note, notLess, oneOf, reason, text,
} from '../job/fields'

/** Drilling result where a hole was planned. */
export const HOLE_RESULTS = ['hit', 'miss', 'void', 'steel', 'mortar', 'blown', 'stripped', 'other'] as const
const ADJUSTERS = ['height', 'height-left', 'height-right', 'lateral', 'depth-top-left', 'depth-top-right', 'depth-bottom-left', 'depth-bottom-right'] as const

/** So many readings or moves one entry can hold: all of the largest wall. */
const MANY = 10_000
const round = () => must(count(1_000, 'Round number, from 1'))
const between = () => must(list(must(text()), 2, 'The two screens')).min(2, 'must name two screens')
const end = () => must(oneOf(['top', 'bottom', 'left', 'right'], 'End of the seam'))

/** What is said of every entry: by its author, and, once a server has it, its place in the chain. */
const about = <const Kind extends string>(kind: Kind) => ({
  id: name('Id given where it was recorded; the same id twice is one entry'), seq: count(1e9, 'Number in order of arrival'), at: must(clockTime('Date and time, by the author’s clock')), receivedAt: moment('Date and time received by the server'),
  by: name('Author'), person: text('Id of the person signed in on the device; the server gives the name'), sentBy: text('Person signed in when it was sent, if different'), acceptedBy: text('Person who accepted it into the log, if it had to wait for approval'),
  wall: name('Id of the wall'), kind: must(oneOf([kind])),
})
const inChain = { prev: text('Hash of the previous entry'), hash: text('SHA-256 of this entry') }

/** What can happen at a wall: a schema for each kind of entry. */
export const ENTRY_KINDS = {
  'hole': group({
    ...about('hole'), hole: name('The hole’s id in the plan'), x: must(length('Drilled position')), y: must(length('Drilled position')),
    result: must(oneOf(HOLE_RESULTS, 'Drilling result')), note: note(), photo: text('Photo in the data folder'), ...inChain,
  }),
  'override': group({
    ...about('override'), code: name('Code of the finding'), subject: name('Id of its subject'), reason: reason('Reason for building it anyway'),
    figures: list(must(figure()), 50, 'Figures of the stop’s sentence at that time, as earlier versions recorded them'),
    facts: list(must(figure()), 50, 'What the stop stated in figures at that time, in ascending order; when it changes, the override lapses'), ...inChain,
  }),
  'override-ended': group({ ...about('override-ended'), code: name('Code of the finding'), subject: name('Id of its subject'), reason: note(), ...inChain }),
  'issued': group({ ...about('issued'), revision: name('A, B, …'), frozen: text('Id of the frozen revision of the wall'), note: note(), ...inChain }),
  'step': group({ ...about('step'), step: name('Id of a work step, a part or tool, or a question'), done: must(flag('Whether it is done, on site or answered')), minutes: notLess('min', 'Time taken'), note: note(), photo: text('Photo in the data folder'), ...inChain }),
  'seams': group({
    ...about('seams'), array: name(), round: round(),
    gaps: list(group({ between: between(), end: end(), mm: must(length()) }), MANY, 'Gaps at the ends of seams'),
    steps: list(group({ between: between(), end: end(), mm: must(length()) }), MANY, 'Steps: face of the second screen minus face of the first, positive outwards'),
    rolls: list(group({ screen: name(), mmPerM: must(figure('mm/m')) }), MANY, 'Roll, positive if the right end is higher'), ...inChain,
  }),
  'turned': group({
    ...about('turned'), array: name(), round: round(),
    moves: must(list(group({ screen: name(), adjuster: must(oneOf(ADJUSTERS)), turns: figure('turns'), mm: length() }), MANY, 'Moves, positive up, right and outwards')), ...inChain,
  }),
  'fished': group({ ...about('fished'), route: name(), result: must(oneOf(['through', 'stopped'])), y: length('Height of the blockage'), ...inChain }),
  'hung': group({ ...about('hung'), screen: name('Id of the screen'), note: note(), ...inChain }),
  'serial': group({ ...about('serial'), screen: name('Id of the screen'), serial: name('Serial number'), ...inChain }),
  'locked': group({ ...about('locked'), screen: name('Id of the screen'), unlocked: flag('True if the lock was opened; absent if it was set'), note: note(), ...inChain }),
  'photo': group({ ...about('photo'), photo: name('Photo in the data folder'), screen: text('Id of the screen shown'), note: note(), ...inChain }),
  'tested': group({ ...about('tested'), array: name(), passed: must(flag('Whether the test pattern passed')), note: note(), ...inChain }),
  'point': group({ ...about('point'), what: reason('Snag: work still to do'), owner: name('Owner'), due: must(day('Due date')), ...inChain }),
  'point-done': group({ ...about('point-done'), point: name('Id of the entry of the snag'), note: note(), ...inChain }),
  'signed': group({ ...about('signed'), name: name('Name of the person who signed'), role: text('Role'), ink: list(must(list(must(figure()), 2_000)), 200, 'Pen strokes: x and y alternating, y down, in a field of 1000 by 400'), link: text('Id of the client link used to sign'), ...inChain }),
  'visit': group({ ...about('visit'), purpose: must(oneOf(['service', 'inspection'], 'Purpose')), note: note(), ...inChain }),
  'replaced': group({ ...about('replaced'), screen: name('Id of the screen'), model: name('Id of the display model now installed'), note: note(), ...inChain }),
  'remark': group({ ...about('remark'), note: reason(), ...inChain }),
  'correction': group({ ...about('correction'), corrects: name('Id of the earlier entry that is corrected'), note: reason('Reason'), ...inChain }),
} as const

export type EntryKind = keyof typeof ENTRY_KINDS
/** One kind of entry. */
export type EntryOf<Kind extends EntryKind> = Extract<{ [Each in EntryKind]: InferType<typeof ENTRY_KINDS[Each]> & { kind: Each } }[EntryKind], { kind: Kind }>
/** What was done, when and by whom; entries are only ever added. */
export type LogEntry = EntryOf<EntryKind>

const unknownKind = group({ ...about('hole'), kind: must(oneOf(Object.keys(ENTRY_KINDS))) })
const isKind = (kind: unknown): kind is EntryKind => typeof kind === 'string' && Object.hasOwn(ENTRY_KINDS, kind)

/** An entry of any kind, by the rules of its own. */
export const logEntrySchema = lazy((entry: { kind?: unknown } | null | undefined) => (isKind(entry?.kind) ? ENTRY_KINDS[entry.kind] : unknownKind) as never)

/** What an entry says beside the fields of its kind can have so many characters. */
const BESIDE = 2_000

/**
 * What is wrong with an entry that is new, beside what its schema says: a clock that shows no time that there is, and
 * much under keys that nobody knows. One that is in a chain stands as it is, as nothing in a log is changed.
 *
 * @param entry one that its schema has let through
 */
export function newEntryFaults(entry: LogEntry, root: string): Fault[] {
  if (entry.hash !== undefined) return []
  const { fields } = ENTRY_KINDS[entry.kind]
  const beside = Object.entries(entry).filter(([key]) => !Object.hasOwn(fields, key))
  const size = JSON.stringify(Object.fromEntries(beside)).length
  return [
    ...isMoment(entry.at) ? [] : [{ path: `${root}.at`, message: `is not a valid date and time: “${entry.at}”. Set the clock of the device` }],
    ...size > BESIDE ? [{ path: `${root}.${beside[0]![0].slice(0, 60)}`, message: `is not a field of an entry; such fields can have ${BESIDE} characters in total, not ${size}` }] : [],
  ]
}
