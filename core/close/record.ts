import type { Wall } from '../job'
import { authorNames, ofKind, standing, type AuthorNames, type EntryOf, type LogEntry } from '../log'

/** Something still to be done, and since when it is done. */
export interface OpenPoint extends Pick<EntryOf<'point'>, 'id' | 'what' | 'owner' | 'due' | 'at'>, AuthorNames {
  done?: Pick<EntryOf<'point-done'>, 'at' | 'note'> & AuthorNames
}

/**
 * What the log tells of a wall from its hanging on: what was recorded last of each, in the order in which it arrived.
 */
export interface ClosingRecord {
  serials: Map<string, EntryOf<'serial'>>
  /** Screens whose lock was set, and not opened since. */
  locked: Map<string, EntryOf<'locked'>>
  /** Pull tests, torques and firmware versions, the last of each screen. */
  pulled: Map<string, EntryOf<'pulled'>>
  torqued: Map<string, EntryOf<'torqued'>>
  firmware: Map<string, EntryOf<'firmware'>>
  tested: Map<string, EntryOf<'tested'>>
  /** The last test of each circuit. */
  circuitTests: Map<string, EntryOf<'circuit-test'>>
  points: OpenPoint[]
  photos: EntryOf<'photo'>[]
  remarks: EntryOf<'remark'>[]
  signatures: EntryOf<'signed'>[]
  visits: EntryOf<'visit'>[]
  replaced: EntryOf<'replaced'>[]
  seams: EntryOf<'seams'>[]
  turned: EntryOf<'turned'>[]
}

const lastOf = <Entry>(entries: Entry[], key: (entry: Entry) => string) =>
  new Map(entries.map(entry => [key(entry), entry]))

/**
 * Pull tests by the clock, and of two at one time the one that failed last: one that held clears a plate that moved
 * only if it was made after it, whenever either arrived.
 */
const byClock = (pulls: EntryOf<'pulled'>[]) =>
  [...pulls].sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || Number(b.held) - Number(a.held))

/** What the log tells of a wall from its hanging on. */
export function recordOf(log: LogEntry[], wall: Pick<Wall, 'id' | 'formerId'>): ClosingRecord {
  const entries = standing(log, wall)
  const of = <Kind extends LogEntry['kind']>(kind: Kind) => ofKind(entries, kind)
  const done = lastOf(of('point-done'), ({ point }) => point)
  return {
    serials: lastOf(of('serial'), ({ screen }) => screen),
    locked: new Map([...lastOf(of('locked'), ({ screen }) => screen)].filter(([, { unlocked }]) => !unlocked)),
    pulled: lastOf(byClock(of('pulled')), ({ screen }) => screen),
    torqued: lastOf(of('torqued'), ({ screen }) => screen),
    firmware: lastOf(of('firmware'), ({ screen }) => screen),
    tested: lastOf(of('tested'), ({ array }) => array),
    circuitTests: lastOf(of('circuit-test'), ({ circuit }) => circuit),
    points: of('point').map(({ id, what, owner, due, at, ...author }) => {
      const end = done.get(id)
      const ended = end && { ...authorNames(end), at: end.at, ...(end.note !== undefined && { note: end.note }) }
      return { id, what, owner, due, ...authorNames(author), at, ...(ended && { done: ended }) }
    }),
    photos: of('photo'),
    remarks: of('remark'),
    signatures: of('signed'),
    visits: of('visit'),
    replaced: of('replaced'),
    seams: of('seams'),
    turned: of('turned'),
  }
}

/** Open points that are not done. */
export const stillOpen = ({ points }: Pick<ClosingRecord, 'points'>): OpenPoint[] => points.filter(({ done }) => !done)

/** When a wall was handed over: when it was signed for first; undefined where nobody has yet. */
export const handedOver = ({ signatures }: Pick<ClosingRecord, 'signatures'>): EntryOf<'signed'> | undefined =>
  signatures[0]

/** Serial numbers that stand at more than one screen, with those screens. */
export function serialTwice({ serials }: Pick<ClosingRecord, 'serials'>): { serial: string, screens: string[] }[] {
  const at = new Map<string, string[]>()
  for (const [screen, { serial }] of serials)
    at.set(serial.toUpperCase(), [...(at.get(serial.toUpperCase()) ?? []), screen])
  return [...at].filter(([, screens]) => screens.length > 1).map(([serial, screens]) => ({ serial, screens }))
}
