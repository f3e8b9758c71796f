import { lazy, type InferType } from 'yup'
import type { Fault } from '../job/fault'
import { isMoment } from '../job/moment'
import { clockTime, count, day, figure, flag, group, length, list, moment, must, name, note, notLess, oneOf, reason, text } from '../job/fields'

/** What the drill met where a hole was planned. */
export const HOLE_RESULTS = ['hit', 'miss', 'void', 'steel', 'mortar', 'blown', 'stripped', 'other'] as const
const ADJUSTERS = ['height', 'height-left', 'height-right', 'lateral', 'depth-top-left', 'depth-top-right', 'depth-bottom-left', 'depth-bottom-right'] as const

/** So many readings or moves one entry can hold: all of the largest wall. */
const MANY = 10_000
const round = () => must(count(1_000, 'Which round of it, from 1'))
const between = () => must(list(must(text()), 2, 'The two screens')).min(2, 'must name two screens')
const end = () => must(oneOf(['top', 'bottom', 'left', 'right'], 'Which end of the seam'))

/** What is said of every entry: by whoever made it, and, once a server has it, its place in the chain. */
const about = <const Kind extends string>(kind: Kind) => ({
  id: name('From whoever made it; the same one twice is one entry'), seq: count(1e9, 'Its number in the order of arrival'), at: must(clockTime('When, by their clock')), receivedAt: moment('When the server had it'),
  by: name('Who'), person: text('Id of who was signed in where it was made; the server says his name'), sentBy: text('Who was signed in when it was sent, where that was another'), acceptedBy: text('Who took it into the log, where it had been set aside'),
  wall: name('On which wall'), kind: must(oneOf([kind])),
})
const inChain = { prev: text('Hash of the entry before'), hash: text('SHA-256 of this one') }

/** What can happen at a wall: a schema for each kind of entry. */
export const ENTRY_KINDS = {
  'hole': group({
    ...about('hole'), hole: name('The hole’s id in the plan'), x: must(length('Where it was drilled')), y: must(length('Where it was drilled')),
    result: must(oneOf(HOLE_RESULTS, 'What the drill met')), note: note(), photo: text('Picture in the data folder'), ...inChain,
  }),
  'override': group({
    ...about('override'), code: name('Code of the finding'), subject: name('Id of what it is about'), reason: reason('Why it may be built all the same'),
    figures: list(must(figure()), 50, 'The figures that the stop told then: it stands again once they are others'), ...inChain,
  }),
  'override-ended': group({ ...about('override-ended'), code: name('Code of the finding'), subject: name('Id of what it is about'), reason: note(), ...inChain }),
  'issued': group({ ...about('issued'), revision: name('A, B, …'), frozen: text('Id of what was frozen, among the wall’s revisions'), note: note(), ...inChain }),
  'step': group({ ...about('step'), step: name('Id of a step of the run of work, of a part of the kit, or of a question'), done: must(flag('Whether it is done, is there, or is answered')), minutes: notLess('min', 'How long it took'), note: note(), photo: text('Picture in the data folder'), ...inChain }),
  'seams': group({
    ...about('seams'), array: name(), round: round(),
    gaps: list(group({ between: between(), end: end(), mm: must(length()) }), MANY, 'Gaps at ends of seams'),
    steps: list(group({ between: between(), end: end(), mm: must(length()) }), MANY, 'Face of the second screen less that of the first, outwards'),
    rolls: list(group({ screen: name(), mmPerM: must(figure('mm/m')) }), MANY, 'Roll, right end up'), ...inChain,
  }),
  'turned': group({
    ...about('turned'), array: name(), round: round(),
    moves: must(list(group({ screen: name(), adjuster: must(oneOf(ADJUSTERS)), turns: figure('turns'), mm: length() }), MANY, 'Up, to the right and outwards positive')), ...inChain,
  }),
  'fished': group({ ...about('fished'), route: name(), result: must(oneOf(['through', 'stopped'])), y: length('Height at which it stopped'), ...inChain }),
  'hung': group({ ...about('hung'), screen: name('Id of the screen'), note: note(), ...inChain }),
  'serial': group({ ...about('serial'), screen: name('Id of the screen'), serial: name('Its serial number'), ...inChain }),
  'locked': group({ ...about('locked'), screen: name('Id of the screen'), unlocked: flag('Whether its lock was opened; absent where it was set'), note: note(), ...inChain }),
  'photo': group({ ...about('photo'), photo: name('Picture in the data folder'), screen: text('Id of the screen that it shows'), note: note(), ...inChain }),
  'tested': group({ ...about('tested'), array: name(), passed: must(flag('Whether its test picture was as it should be')), note: note(), ...inChain }),
  'point': group({ ...about('point'), what: reason('What is still to be done'), owner: name('Who does it'), due: must(day('By when')), ...inChain }),
  'point-done': group({ ...about('point-done'), point: name('Id of the entry of the open point'), note: note(), ...inChain }),
  'signed': group({ ...about('signed'), name: name('Who signed'), role: text('As what'), ink: list(must(list(must(figure()), 2_000)), 200, 'Strokes of the pen: x and y in turn, y down, in a field of 1000 by 400'), link: text('Id of the client’s link through which it was signed'), ...inChain }),
  'visit': group({ ...about('visit'), purpose: must(oneOf(['service', 'inspection'], 'What for')), note: note(), ...inChain }),
  'replaced': group({ ...about('replaced'), screen: name('Id of the screen'), model: name('Id of the model of display that hangs there now'), note: note(), ...inChain }),
  'remark': group({ ...about('remark'), note: reason(), ...inChain }),
  'correction': group({ ...about('correction'), corrects: name('Id of the earlier entry that does not hold'), note: reason('Why'), ...inChain }),
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
    ...isMoment(entry.at) ? [] : [{ path: `${root}.at`, message: `is no date and time that there is: “${entry.at}”. Set the clock of the device` }],
    ...size > BESIDE ? [{ path: `${root}.${beside[0]![0].slice(0, 60)}`, message: `is no field of an entry; such fields can have ${BESIDE} characters together, and have ${size}` }] : [],
  ]
}
