import type { LogEntry } from '../../core/job'
import { clientAuthor } from '../accounts/authorship'
import type { Database } from '../database/perDatabase'
import { apiError, validationError, type ApiErrorBody } from '../utils/apiError'
import { fieldsOf } from '../utils/fields'
import type { Opened } from './links'
import { addEntries } from './log'
import { entriesOf } from './logRows'
import { siteRow } from './siteRows'

/** Who made what comes through a client's link: nobody knows more than that; the name is what was typed. */
export const CLIENT = 'Client, by link'
/** A link signs once, and has so many remarks. */
const MOST_REMARKS = 5
/** A signature's strokes have so many characters of JSON at most. */
const MOST_INK = 50_000

const typed = (given: unknown): string => typeof given === 'string' ? given.trim() : ''

/** What a client sent, as far as it is something. */
interface Given { id: unknown, name: string, role: string, remark: string, ink: unknown[] }

/** What a client sent. @throws 422 with what is wrong with it */
function givenBy(sent: unknown): Given {
  const { id, ink, ...texts } = fieldsOf(sent)
  const [name, role, remark] = [texts.name, texts.role, texts.remark].map(typed) as [string, string, string]
  const given = { id, name, role, remark, ink: Array.isArray(ink) ? ink as unknown[] : [] }
  const faults = [
    ...given.ink.length > 0 || given.remark ? [] : [{ path: '$.ink', message: 'is missing: sign in the field' }],
    ...given.name ? [] : [{ path: '$.name', message: 'is missing: enter your name' }],
    ...JSON.stringify(given.ink).length <= MOST_INK
      ? []
      : [{ path: '$.ink', message: 'has too many strokes: clear the field and sign again' }],
  ]
  if (faults.length > 0) throw validationError(faults)
  return given
}

/** @throws 409 where a link has done already what it may do */
function checkLeft(before: LogEntry[], { ink, remark }: Given): void {
  const ask = 'Ask the sender for a new one.'
  if (ink.length > 0 && before.some(({ kind }) => kind === 'signed')) {
    throw apiError(409, 'signed-already', `This link has been used to sign already. ${ask}`)
  }
  if (remark && before.filter(({ kind }) => kind === 'remark').length >= MOST_REMARKS) {
    throw apiError(409, 'remarks-full', `A link can have ${MOST_REMARKS} remarks. ${ask}`)
  }
}

/**
 * What a client does through his link: he signs once, and remarks on something: `{ id, name, role, ink, remark }`,
 * without `ink` where he only remarks. The same id once more is the same signature.
 *
 * @returns the entries that the log has now @throws 422 with what is wrong, 409 where this link has signed already
 */
export function signByLink(db: Database, { site, wall, link }: Opened, sent: unknown, at: string): LogEntry[] {
  const given = givenBy(sent)
  const { id, name, role, ink, remark } = given
  const isOther = (entry: LogEntry) => entry.id !== id && entry.id !== `${String(id)}-remark`
  const byThis = entriesOf(db, siteRow(db, site).key, wall).filter(entry => 'link' in entry && entry.link === link.id)
  checkLeft(byThis.filter(isOther), given)
  const about = { at, by: CLIENT, wall, name, link: link.id }
  const results = addEntries(
    db,
    { siteId: site, wall },
    clientAuthor,
    [
      ...ink.length > 0 ? [{ ...about, id, kind: 'signed', ...role && { role }, ink }] : [],
      ...remark ? [{ ...about, id: `${String(id)}-remark`, kind: 'remark', note: remark }] : [],
    ],
    at,
  )
  for (const result of results) if ('error' in result) throw refusal(result.error)
  return results.flatMap(result => 'entry' in result ? [result.entry] : [])
}

const refusal = ({ faults, message }: ApiErrorBody['error']): Error =>
  validationError(faults ?? [{ path: '$', message }])
