import type { ObjectShape } from 'yup'
import { clockTime, count, flag, group, moment, must, name, oneOf, text } from '../../job/fields'

/** So many readings or moves one entry can hold: all of the largest wall. */
export const MANY = 10_000

/** What is said of every entry: by its author, and, once a server has it, its place in the chain. */
const about = <const Kind extends string>(kind: Kind) => ({
  id: name('Id given where it was recorded; the same id twice is one entry'),
  seq: count(1e9, 'Number in order of arrival'),
  at: must(clockTime('Date and time, by the author’s clock')),
  receivedAt: moment('Date and time received by the server'),
  by: name('Author'),
  person: text('Id of the person signed in on the device; the server gives the name'),
  device: text('Device it was made on'),
  sentBy: text('Person signed in when it was sent, if different'),
  acceptedBy: text('Person who accepted it into the log, if it had to wait for approval'),
  late: flag('Arrived after its author had lost the right to make it; its signature proves that it was made before'),
  key: text('Id of the device’s key: RFC 7638 thumbprint, base64url'),
  sig: text('Signature over its canonical JSON without what the server sets: ECDSA P-256, SHA-256, base64url'),
  wall: name('Id of the wall'),
  kind: must(oneOf([kind])),
})
const inChain = { prev: text('Hash of the previous entry'), hash: text('SHA-256 of this entry') }

/** The schema of a kind: what is said of every entry, and its own fields. */
export const entry = <const Kind extends string, Own extends ObjectShape>(kind: Kind, own: Own) =>
  group({ ...about(kind), ...own, ...inChain })

/** Which round of readings and turns, from 1. */
export const round = () => must(count(1_000, 'Round number, from 1'))
